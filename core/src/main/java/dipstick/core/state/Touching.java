package dipstick.core.state;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Selections;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Concepts;
import java.util.Arrays;
import java.util.BitSet;

/** What an oddity means for the list of a set. */
public final class Touching {
    private Touching() {}

    /** Whether one of the set's criteria asks for records like some of the odd ones, or odd people may be eligible. */
    public static boolean touches(Oddity oddity, Reading reading, Evaluator evaluator) {
        BitSet people = oddity.people();
        people.and(reading.eligible().possible());
        return oddity.records().isEmpty()
                ? !people.isEmpty()
                : asksForSome(reading.set(), conceptsOf(oddity, evaluator), evaluator);
    }

    /** How many of the people concerned are to check there, since the records do not say enough. */
    public static int toCheck(Oddity oddity, Reading reading) {
        BitSet people = oddity.people();
        people.and(reading.list().unsure());
        return people.cardinality();
    }

    private static BitSet conceptsOf(Oddity oddity, Evaluator evaluator) {
        Concepts concepts = evaluator.population().events().concepts();
        BitSet odd = new BitSet();
        oddity.records().stream().map(concepts::ofRow).forEach(odd::set);
        return odd;
    }

    private static boolean asksForSome(CriteriaSet set, BitSet concepts, Evaluator evaluator) {
        return Selections.inForce(set)
                .flatMap(Selections::ofOne)
                .map(Selections.Asked::selection)
                .anyMatch(selection -> asks(selection, concepts, evaluator));
    }

    private static boolean asks(Selection selection, BitSet concepts, Evaluator evaluator) {
        return Arrays.stream(evaluator.conceptsOf(selection)).anyMatch(concepts::get);
    }
}
