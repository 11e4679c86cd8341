package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Due;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.server.criteria.BenchAnswer.Counts;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * A list from a year back to a year ahead, as the records of now have it, month by month from the practice's today.
 *
 * @param today an ISO date, the middle of {@code months}
 */
record Ribbon(String today, List<Month> months) {
    private static final int MONTHS = 12;

    /**
     * @param day the day as of which it is read, an ISO date
     * @param fallDue how many of those who are eligible today fall due from the day after the month before through
     *     this one; none for months back
     */
    record Month(String day, Counts list, Counts eligible, Counts has, int fallDue) {}

    static Ribbon of(CriteriaSet set, LocalDate today, Function<LocalDate, Evaluator> asOf) {
        Evaluator now = asOf.apply(today);
        List<Due> dues = now.duesOf(set, now.read(set).eligible().yes());
        Evaluator.readAhead(
                set,
                IntStream.rangeClosed(-MONTHS, MONTHS)
                        .mapToObj(month -> asOf.apply(today.plusMonths(month)))
                        .toList());
        List<Month> months = new ArrayList<>();

        for (int month = -MONTHS; month <= MONTHS; month++) {
            LocalDate day = today.plusMonths(month);
            Reading reading = asOf.apply(day).read(set);
            int fallDue = month <= 0 ? 0 : fallDue(dues, today.plusMonths(month - 1), day);
            months.add(new Month(
                    day.toString(),
                    Counts.of(reading.list()),
                    Counts.of(reading.eligible()),
                    Counts.of(reading.eligibleAndHas()),
                    fallDue));
        }
        return new Ribbon(today.toString(), months);
    }

    private static int fallDue(List<Due> dues, LocalDate after, LocalDate through) {
        return (int) dues.stream()
                .filter(due -> due instanceof Due.On(LocalDate day) && day.isAfter(after) && !day.isAfter(through))
                .count();
    }
}
