package dipstick.server.criteria;

import dipstick.core.Outcome;
import dipstick.core.criteria.Criterion;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.explain.NearTheLine;
import dipstick.core.explain.Turn;
import dipstick.server.people.PersonLine;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * Who is near the line, by day.
 *
 * @param first the first day that was looked at, and {@code last} the last, ISO dates
 * @param total how many turns there are; more than a page are counted, not shown
 */
record NearPage(String first, String last, int total, List<Crossing> crossings) {
    private static final int PAGE = 200;

    /**
     * @param day the first day with the answer {@code after}, an ISO date
     * @param ahead whether it comes after the as-of date
     */
    record Crossing(PersonLine person, String day, boolean ahead, Outcome before, Outcome after, String why) {}

    static NearPage of(Evaluator evaluator, NearTheLine near, Optional<Criterion> criterion) {
        LocalDate asOf = evaluator.asOf();
        List<Turn> turns = criterion.map(near::of).orElseGet(near::ofList);
        return new NearPage(
                asOf.minusDays(NearTheLine.DAYS).toString(),
                asOf.plusDays(NearTheLine.DAYS).toString(),
                turns.size(),
                turns.stream()
                        .limit(PAGE)
                        .map(turn -> new Crossing(
                                PersonLine.of(evaluator.population(), turn.person(), asOf),
                                turn.day().toString(),
                                turn.day().isAfter(asOf),
                                turn.before(),
                                turn.after(),
                                criterion.map(one -> near.why(turn, one)).orElseGet(() -> near.why(turn))))
                        .toList());
    }
}
