package dipstick.server.people;

import dipstick.core.Outcome;
import dipstick.core.evaluate.Level.Section;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Optional;

/**
 * Everything known of a person, and why each criterion of a set answers as it does.
 *
 * @param details the other fields that are on record, by name
 * @param list whether the person is on the list; nothing where they are not in the population
 */
public record PersonView(
        @NotNull PersonLine person,
        @NotNull List<Detail> details,
        @NotNull Optional<Outcome> list,
        @NotNull String due,
        @NotNull List<CriterionReason> criteria,
        @NotNull List<TimelineRecord> records,
        @NotNull List<Bracket> windows) {
    public record Detail(@NotBlank String field, @NotBlank String value) {}

    /** @param reason nothing where the criterion is switched off */
    public record CriterionReason(
            @NotNull Section section,
            @NotBlank String id,
            @NotBlank String sentence,
            @NotNull ReasonView reason) {}

    /** @param records the numbers of the records it speaks of */
    public record ReasonView(
            @NotNull Outcome outcome,
            @NotBlank String words,
            @NotNull List<Integer> records,
            @NotNull List<ReasonView> parts) {}

    /**
     * A record on the time line.
     *
     * @param first the first day it may have been on, an ISO date; nothing where it is undated
     */
    public record TimelineRecord(
            int number,
            @NotBlank String kind,
            @NotBlank String what,
            @NotNull String status,
            @NotNull String when,
            Optional<String> first,
            Optional<String> last) {}

    /** The days of a criterion's window, ISO dates; an open end is absent. */
    public record Bracket(@NotBlank String criterion, Optional<String> first, Optional<String> last) {}
}
