package dipstick.server.readings;

import dipstick.core.Outcome;
import dipstick.core.changes.Change;
import dipstick.core.changes.Changes;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Verdict;
import dipstick.core.text.Shortened;
import dipstick.server.criteria.Evaluators;
import dipstick.server.records.Newcomers;
import dipstick.server.records.OtherNumbers;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;

/** Finds whose place on a list is another one than at the reading before, and why. */
@Component
class WhyChanged {
    /** As the table has room for it. */
    static final int LONGEST_WORDS = 4000;

    private final ListCriteria criteria;
    private final Evaluators evaluators;
    private final Newcomers newcomers;
    private final OtherNumbers otherNumbers;

    WhyChanged(ListCriteria criteria, Evaluators evaluators, Newcomers newcomers, OtherNumbers otherNumbers) {
        this.criteria = criteria;
        this.evaluators = evaluators;
        this.newcomers = newcomers;
        this.otherNumbers = otherNumbers;
    }

    /**
     * @param before those of the reading before of whom it is asked
     * @param members those of them who are on the list or to check now
     * @param now what the reading was taken with
     */
    List<ReadChange> since(
            TakenReading last, List<ReadMember> before, Reading reading, List<ReadMember> members, Evaluator now) {
        Optional<Changes> changes = criteria.at(last, reading.records().fields())
                .map(set -> new Changes(set, last.asOf(), reading, day -> evaluators.sameRecordsAsOf(now, day)));
        Map<String, Outcome> was = new HashMap<>();
        Map<String, String> joined = otherNumbers.all();
        // Whoever goes on under another number keeps their place, and did not leave.
        before.forEach(one -> was.merge(joined.getOrDefault(one.person(), one.person()), outcome(one), Outcome::or));
        Set<String> came = newcomers.among(
                members.stream()
                        .map(ReadMember::person)
                        .filter(person -> !was.containsKey(person))
                        .toList(),
                last.recordsAt());
        TreeSet<String> people = new TreeSet<>(was.keySet());
        members.forEach(one -> people.add(one.person()));
        return people.stream()
                .flatMap(id -> change(id, was.getOrDefault(id, Outcome.NO), changes, reading, now, came).stream())
                .toList();
    }

    private static Optional<ReadChange> change(
            String id, Outcome was, Optional<Changes> changes, Reading reading, Evaluator now, Set<String> came) {
        OptionalInt number = reading.records().find(id);
        if (number.isEmpty()) {
            return Optional.of(new ReadChange(id, was, Outcome.NO, Change.Cause.RECORDS, "Is not on file any more."));
        }
        int person = number.getAsInt();
        Outcome is = reading.list().of(person);
        if (is == was) {
            return Optional.empty();
        }
        return changes.isEmpty()
                ? Optional.of(new ReadChange(
                        id,
                        was,
                        is,
                        Change.Cause.CRITERIA,
                        fitting("The criteria changed, and those of before do not fit the records any more. "
                                + Verdict.of(now, reading, person))))
                : changes.get()
                        .of(person, was)
                        .map(change -> came.contains(id) && was == Outcome.NO
                                ? new ReadChange(
                                        id,
                                        was,
                                        is,
                                        Change.Cause.RECORDS,
                                        fitting("New on file: " + Verdict.of(now, reading, person)))
                                : new ReadChange(id, was, is, change.cause(), fitting(change.words())));
    }

    /** A long sentence, such as one that names hundreds of values, is cut where the table ends. */
    static String fitting(String words) {
        return Shortened.toldSo(LONGEST_WORDS, words);
    }

    private static Outcome outcome(ReadMember member) {
        return member.state().equals(ListMember.State.ON.word()) ? Outcome.YES : Outcome.UNSURE;
    }
}
