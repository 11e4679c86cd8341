package dipstick.server.state;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.state.AskedFields;
import dipstick.core.state.Oddity;
import dipstick.core.state.RecordsState;
import dipstick.core.state.Touching;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.readings.ListCriteria;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Keeps the state of the records as they are shown, and finds which lists it touches. */
@Service
class States {
    private final Evaluators evaluators;
    private final CriteriaSets sets;
    private final ListCriteria criteria;
    private final Sharing sharing;
    private Optional<Known> known = Optional.empty();

    States(Evaluators evaluators, CriteriaSets sets, ListCriteria criteria, Sharing sharing) {
        this.evaluators = evaluators;
        this.sets = sets;
        this.criteria = criteria;
        this.sharing = sharing;
    }

    /** The state of one population on one day. */
    record Known(Population population, LocalDate day, RecordsState state) {}

    /** @param toCheck how many of the people concerned are to check there */
    record Touched(String set, String name, int toCheck) {}

    synchronized Known now() {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        boolean isKnown = known.filter(one ->
                        one.population() == evaluator.population() && one.day().equals(evaluator.asOf()))
                .isPresent();
        if (!isKnown) {
            known = Optional.of(new Known(
                    evaluator.population(),
                    evaluator.asOf(),
                    RecordsState.of(evaluator.population(), evaluator.asOf())));
        }
        return known.orElseThrow();
    }

    static Oddity find(Known now, Oddity.Sort sort) {
        return now.state().oddities().stream()
                .filter(oddity -> oddity.sort() == sort)
                .findFirst()
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "nothing-odd", "There is nothing of this kind on record any more."));
    }

    /** What each oddity touches of the lists that whoever is signed in may see, each of which is read once. */
    Function<Oddity, List<Touched>> touching(Known now) {
        Evaluator evaluator = evaluators.asOf(Optional.of(now.day()));
        if (evaluator.population() != now.population()) {
            // Other records are shown by now; the next look says what they touch.
            return _ -> List.of();
        }
        List<ListRead> lists = listsHere(evaluator);
        return oddity -> lists.stream()
                .filter(list -> Touching.touches(oddity, list.reading(), evaluator))
                .map(list -> new Touched(
                        list.set().id(), list.set().publishedName(), Touching.toCheck(oddity, list.reading())))
                .toList();
    }

    /**
     * The lists that whoever is signed in may see and that ask for a field.
     *
     * @param kind of the records; empty for people
     * @param without those in whom, or in records of whom, it is blank
     */
    List<Touched> askingFor(String kind, String field, BitSet without) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        return listsHere(evaluator).stream()
                .filter(list -> kind.isEmpty()
                        ? AskedFields.ofPeople(list.reading().set(), field)
                        : AskedFields.ofRecords(list.reading().set(), kind, field))
                .map(list -> {
                    BitSet toCheck = list.reading().list().unsure();
                    toCheck.and(without);
                    return new Touched(list.set().id(), list.set().publishedName(), toCheck.cardinality());
                })
                .toList();
    }

    private List<ListRead> listsHere(Evaluator evaluator) {
        return sets.inForce().stream()
                .filter(set -> sharing.here(set.id()).includes(Right.VIEW))
                .flatMap(set -> read(set, evaluator).stream())
                .toList();
    }

    private record ListRead(SavedSet set, Reading reading) {}

    private Optional<ListRead> read(SavedSet set, Evaluator evaluator) {
        return criteria.fitting(set, evaluator.population().fields())
                .map(evaluator::read)
                .map(reading -> new ListRead(set, reading));
    }
}
