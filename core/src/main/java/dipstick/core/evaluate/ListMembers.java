package dipstick.core.evaluate;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Gives everybody on the list, or to check, a due date and a band (criteria.md section 4). */
final class ListMembers {
    private final Evaluator evaluator;
    private final CriteriaSet set;
    private final Optional<DueDates> dueDates;

    ListMembers(Evaluator evaluator, CriteriaSet set) {
        this.evaluator = evaluator;
        this.set = set;
        this.dueDates = set.shouldHaveInForce().flatMap(should -> DueDates.of(should, evaluator.seen()));
    }

    /** In the order of their numbers. */
    List<ListMember> of(Answer list) {
        Map<Band, Answer> byTest = new HashMap<>();
        for (Band band : set.bands()) {
            if (band.when() instanceof Band.When.Is(var test)) {
                byTest.put(band, evaluator.answer(test));
            }
        }
        BitSet possible = list.possible();
        List<Due> dues = dueDates.map(dates -> dates.of(possible))
                .orElseGet(() -> Collections.nCopies(evaluator.population().size(), new Due.None()));
        List<ListMember> members = new ArrayList<>();
        for (int person = possible.nextSetBit(0); person >= 0; person = possible.nextSetBit(person + 1)) {
            ListMember.State state = list.yes().get(person) ? ListMember.State.ON : ListMember.State.CHECK;
            Due due = dues.get(person);
            members.add(new ListMember(person, state, due, band(person, due, byTest)));
        }
        return members;
    }

    private Optional<String> band(int person, Due due, Map<Band, Answer> byTest) {
        LocalDate asOf = evaluator.seen().asOf();
        return set.bands().stream()
                .filter(band -> switch (band.when()) {
                    case Band.When.Is _ -> byTest.get(band).yes().get(person);
                    case Band.When.NeverMet _ -> due instanceof Due.Never;
                    case Band.When.Overdue(var by) -> due instanceof Due.On(var day) && !day.isAfter(by.before(asOf));
                })
                .findFirst()
                .map(Band::name);
    }
}
