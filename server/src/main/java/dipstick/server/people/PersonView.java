package dipstick.server.people;

import dipstick.core.Outcome;
import dipstick.core.evaluate.Level.Section;
import java.util.List;
import java.util.Optional;

/**
 * Everything known of a person, and why each criterion of a set answers as it does.
 *
 * @param details the other fields that are on record, by name
 * @param list whether the person is on the list; nothing where they are not in the population
 */
public record PersonView(
        PersonLine person,
        List<Detail> details,
        Optional<Outcome> list,
        String due,
        List<CriterionReason> criteria,
        List<TimelineRecord> records,
        List<Bracket> windows) {
    public record Detail(String field, String value) {}

    /** @param reason nothing where the criterion is switched off */
    public record CriterionReason(Section section, String id, String sentence, ReasonView reason) {}

    /**
     * @param witness the numbers of the records that make it so
     * @param nearest the record that nearly counted, where the answer is no
     */
    public record ReasonView(
            Outcome outcome, String words, List<Integer> witness, Optional<Integer> nearest, List<ReasonView> parts) {}

    /**
     * A record on the time line.
     *
     * @param what it says, with its value
     * @param code empty where it has none, as are {@code system} and {@code text}
     * @param more what else is on record of it, each with its name
     * @param first the first day it may have been on, an ISO date; nothing where it is undated
     */
    public record TimelineRecord(
            int number,
            String kind,
            String what,
            String code,
            String system,
            String text,
            String status,
            String when,
            List<Detail> more,
            Optional<String> first,
            Optional<String> last) {}

    /** The days of a criterion's window, ISO dates; an open end is absent. */
    public record Bracket(String criterion, Optional<String> first, Optional<String> last) {}
}
