package dipstick.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * One statement for all of some as-of dates, as the column database answers it fastest: the days on which each date of
 * records lies in a window are a bit each, and of the records of a person these are put together in one pass.
 */
final class ManyDays {
    private final List<LocalDate> days;
    private final List<String> columns = new ArrayList<>();
    private final List<List<Long>> values = new ArrayList<>();
    private final List<String> masks = new ArrayList<>();
    private final List<String> flags = new ArrayList<>();

    ManyDays(List<LocalDate> days) {
        this.days = days;
    }

    /** What a day is as of each of them, as an expression. */
    String day(Function<LocalDate, LocalDate> ofDay) {
        String column = "c" + columns.size();
        columns.add(column);
        values.add(days.stream().map(day -> ofDay.apply(day).toEpochDay()).toList());
        return "d." + column;
    }

    /** What is the same as of each day, asked once of a row {@code p} of people. */
    String ofAnyDay(String condition) {
        String flag = "f" + flags.size();
        flags.add("(" + condition + ") AS " + flag);
        return "p." + flag;
    }

    /**
     * Whether somebody has an event in a window, as a condition.
     *
     * @param events a condition on a row {@code e} of events
     */
    String any(String events, Function<LocalDate, LocalDate> first, Function<LocalDate, LocalDate> last) {
        String from = day(first);
        String to = day(last);
        String mask = "m" + masks.size();
        masks.add(mask + " AS (SELECT e.person, bit_or(k.mask) AS mask FROM events e JOIN"
                + " (SELECT x.day, bit_or(1::HUGEINT << d.n) AS mask FROM"
                + " (SELECT DISTINCT on_day AS day FROM events) x JOIN d ON x.day BETWEEN " + from + " AND " + to
                + " GROUP BY x.day) k ON e.on_day = k.day WHERE " + events + " GROUP BY e.person)");
        return "(coalesce(" + mask + ".mask, 0) >> d.n) & 1 = 1";
    }

    /** How many people meet a condition as of each day, in their order. */
    String counts(String condition) {
        String rows = IntStream.range(0, days.size())
                .mapToObj(day -> values.stream()
                        .map(column -> ", " + column.get(day))
                        .collect(Collectors.joining("", "(" + day, ")")))
                .collect(Collectors.joining(", "));
        String names = columns.stream().map(column -> ", " + column).collect(Collectors.joining());
        String joined = masks.stream()
                .map(mask -> mask.substring(0, mask.indexOf(' ')))
                .map(mask -> " LEFT JOIN " + mask + " ON " + mask + ".person = p.id")
                .collect(Collectors.joining());
        return "WITH d (n" + names + ") AS (VALUES " + rows + ")"
                + masks.stream().map(mask -> ", " + mask).collect(Collectors.joining())
                + " SELECT count(*) FILTER (WHERE " + condition + ") FROM (SELECT p.*"
                + flags.stream().map(flag -> ", " + flag).collect(Collectors.joining()) + " FROM people p) p" + joined
                + " CROSS JOIN d GROUP BY d.n ORDER BY d.n";
    }
}
