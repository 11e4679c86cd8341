package dipstick.server.criteria;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.server.people.PersonLine;
import dipstick.server.web.Problems;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;

/**
 * People behind a number, by name.
 *
 * @param after the id to ask on from; nothing where these are the last
 */
record WhoPage(int total, List<PersonLine> people, Optional<String> after) {
    private static final int PAGE = 200;

    /** Which number of the sheet the people are behind. */
    enum Part {
        /** Everybody in the population. */
        POPULATION,
        ON_LIST,
        TO_CHECK,
        ELIGIBLE,
        HAS,
        /** Certainly left after a criterion; of what should be on record, those eligible people who meet it. */
        LEFT,
        /** Perhaps left after a criterion. */
        MAYBE_LEFT,
        /** Left, or perhaps left, before a criterion and not after it. */
        FELL
    }

    static WhoPage of(
            Evaluator evaluator, Reading reading, Part part, Optional<String> criterion, Optional<String> after) {
        Population population = evaluator.population();
        List<PersonLine> sorted = people(reading, part, criterion).stream()
                .mapToObj(person -> PersonLine.of(population, person, reading.asOf()))
                .sorted(Comparator.comparing(PersonLine::name, String.CASE_INSENSITIVE_ORDER)
                        .thenComparing(PersonLine::id))
                .toList();
        int from = after.map(
                        id -> 1 + sorted.stream().map(PersonLine::id).toList().indexOf(id))
                .orElse(0);
        int to = Math.min(sorted.size(), from + PAGE);
        return new WhoPage(
                sorted.size(),
                sorted.subList(from, to),
                to < sorted.size() ? Optional.of(sorted.get(to - 1).id()) : Optional.empty());
    }

    private static BitSet people(Reading reading, Part part, Optional<String> criterion) {
        return switch (part) {
            case POPULATION -> reading.people();
            case ON_LIST -> reading.list().yes();
            case TO_CHECK -> reading.list().unsure();
            case ELIGIBLE -> reading.eligible().yes();
            case HAS -> reading.eligibleAndHas().yes();
            case LEFT -> Fallen.left(reading, level(reading, criterion)).yes();
            case MAYBE_LEFT -> Fallen.left(reading, level(reading, criterion)).unsure();
            case FELL -> Fallen.at(reading, level(reading, criterion));
        };
    }

    private static Level level(Reading reading, Optional<String> criterion) {
        return reading.levels().stream()
                .filter(level -> level.criterion().id().equals(criterion.orElse("")))
                .findFirst()
                .orElseThrow(WhoPage::noSuchCriterion);
    }

    static ErrorResponseException noSuchCriterion() {
        return Problems.refused(
                HttpStatus.NOT_FOUND, "no-such-criterion", "This criterion is not there, or it is switched off.");
    }
}
