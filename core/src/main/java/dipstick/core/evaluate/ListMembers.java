package dipstick.core.evaluate;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;

/** Gives everybody on the list, or to check, a due date and a band (criteria.md section 4). */
final class ListMembers {
    private final List<Sorted> bands;
    private final Optional<DueDates> dueDates;

    /** A band's name and whether somebody with a due date is in it. */
    private record Sorted(Optional<String> name, BiPredicate<Integer, Due> takes) {}

    ListMembers(Evaluator evaluator, CriteriaSet set) {
        this.dueDates = set.shouldHaveInForce().flatMap(should -> DueDates.of(should, evaluator.seen()));
        this.bands = set.bands().stream()
                .map(band -> new Sorted(Optional.of(band.name()), takes(band, evaluator)))
                .toList();
    }

    private static BiPredicate<Integer, Due> takes(Band band, Evaluator evaluator) {
        return switch (band.when()) {
            case Band.When.Is(var test) -> {
                BitSet yes = evaluator.answer(test).yes();
                yield (person, due) -> yes.get(person);
            }
            case Band.When.NeverMet never -> (person, due) -> due instanceof Due.Never;
            case Band.When.Overdue(var by) -> {
                LocalDate latest = by.before(evaluator.asOf());
                yield (person, due) -> due instanceof Due.On(var day) && !day.isAfter(latest);
            }
        };
    }

    /** In the order of their numbers. */
    List<ListMember> of(Answer list) {
        BitSet possible = list.possible();
        Due[] dues = dueDates.map(dates -> dates.of(possible)).orElse(new Due[0]);
        Due none = new Due.None();
        List<ListMember> members = new ArrayList<>(possible.cardinality());
        for (int person = possible.nextSetBit(0); person >= 0; person = possible.nextSetBit(person + 1)) {
            ListMember.State state = list.yes().get(person) ? ListMember.State.ON : ListMember.State.CHECK;
            Due due = dueDates.isPresent() ? dues[person] : none;
            members.add(new ListMember(person, state, due, band(person, due)));
        }
        return members;
    }

    private Optional<String> band(int person, Due due) {
        for (Sorted band : bands) {
            if (band.takes().test(person, due)) {
                return band.name();
            }
        }
        return Optional.empty();
    }
}
