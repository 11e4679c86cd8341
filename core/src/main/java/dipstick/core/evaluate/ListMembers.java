package dipstick.core.evaluate;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/** Gives everybody on the list, or to check, a due date and a band (criteria.md section 4). */
final class ListMembers {
    private final List<Sorted> bands;
    private final Optional<DueDates> dueDates;

    /** A band's name and who is in it. */
    private record Sorted(Optional<String> name, Takes takes) {}

    private interface Takes {
        /** @param due as in {@link DueDates}; nothing is asked of it where there are none */
        boolean person(int person, int due);
    }

    ListMembers(Evaluator evaluator, CriteriaSet set) {
        this.dueDates = set.shouldHaveInForce().flatMap(should -> DueDates.of(should, evaluator.seen()));
        this.bands = set.bands().stream()
                .map(band -> new Sorted(Optional.of(band.name()), takes(band, evaluator)))
                .toList();
    }

    private Takes takes(Band band, Evaluator evaluator) {
        boolean dated = dueDates.isPresent();
        return switch (band.when()) {
            case Band.When.Is(var test) -> {
                BitSet yes = evaluator.answer(test).yes();
                yield (person, due) -> yes.get(person);
            }
            case Band.When.NeverMet never -> (person, due) -> dated && due == DueDates.NEVER;
            case Band.When.Overdue(var by) -> {
                long latest = by.before(evaluator.asOf()).toEpochDay();
                yield (person, due) -> dated && due != DueDates.NEVER && due <= latest;
            }
        };
    }

    /** In the order of their numbers. */
    List<ListMember> of(Answer list) {
        BitSet possible = list.possible();
        int[] days = dueDates.map(dates -> dates.of(possible)).orElse(new int[0]);
        Due none = new Due.None();
        List<ListMember> members = new ArrayList<>(possible.cardinality());
        for (int person = possible.nextSetBit(0); person >= 0; person = possible.nextSetBit(person + 1)) {
            ListMember.State state = list.yes().get(person) ? ListMember.State.ON : ListMember.State.CHECK;
            int day = dueDates.isPresent() ? days[person] : DueDates.NEVER;
            Due due = dueDates.isPresent() ? DueDates.due(day) : none;
            members.add(new ListMember(person, state, due, band(person, day)));
        }
        return members;
    }

    private Optional<String> band(int person, int due) {
        for (Sorted band : bands) {
            if (band.takes().person(person, due)) {
                return band.name();
            }
        }
        return Optional.empty();
    }
}
