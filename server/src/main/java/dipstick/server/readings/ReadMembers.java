package dipstick.server.readings;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Verdict;
import dipstick.core.export.ReadingExport;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Members of a list at two readings.
 *
 * @param of whom alone this tells, since all others stand as they did; nothing where it tells of everybody
 */
record ReadMembers(Optional<Set<String>> of, List<ReadMember> before, List<ReadMember> now) {
    /** Of more people the whole list is read. */
    static final int MOST_ANEW = 1000;

    static ReadMembers ofAll(List<ReadMember> before, Reading reading, Evaluator evaluator) {
        return new ReadMembers(
                Optional.empty(),
                before,
                evaluator.members(reading).stream()
                        .map(member -> member(evaluator, reading, member))
                        .toList());
    }

    /** @param people their numbers */
    static ReadMembers of(Set<String> people, List<ReadMember> before, Reading reading, Evaluator evaluator) {
        BitSet places = new BitSet();
        people.forEach(person -> reading.records().find(person).ifPresent(places::set));
        return new ReadMembers(
                Optional.of(people),
                before,
                evaluator.members(reading, places).stream()
                        .map(member -> member(evaluator, reading, member))
                        .toList());
    }

    /** Whether the list is what it was at the last reading but for these people. */
    boolean tellsAllOf(TakenReading last, Reading reading) {
        return last.onList() + gain(ListMember.State.ON) == reading.list().yesCount()
                && last.toCheck() + gain(ListMember.State.CHECK)
                        == reading.list().unsureCount();
    }

    private int gain(ListMember.State state) {
        return count(now, state) - count(before, state);
    }

    private static int count(List<ReadMember> members, ListMember.State state) {
        return (int) members.stream()
                .filter(member -> member.state().equals(state.word()))
                .count();
    }

    private static ReadMember member(Evaluator evaluator, Reading reading, ListMember member) {
        return new ReadMember(
                reading.records().idOf(member.person()),
                member.state().word(),
                ReadingExport.dueText(member.due()),
                member.band().orElse(""),
                WhyChanged.fitting(Verdict.of(evaluator, reading, member.person())));
    }
}
