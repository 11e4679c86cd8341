package dipstick.core.proof;

import dipstick.core.Outcome;
import dipstick.core.proof.NaiveEvaluator.Row;
import java.time.LocalDate;
import java.time.Period;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;

/** Dates, windows and ages, each by looking at every day. */
final class NaiveDays {
    /** Days before and after which no record of these tests lies; an open end reaches there. */
    static final LocalDate FIRST_DAY = LocalDate.of(2004, 1, 1);

    static final LocalDate LAST_DAY = LocalDate.of(2050, 1, 1);

    private final LocalDate asOf;

    NaiveDays(LocalDate asOf) {
        this.asOf = asOf;
    }

    record Days(LocalDate first, LocalDate last) {
        boolean isExact() {
            return first.equals(last);
        }
    }

    /** The first day from which a window of this period no longer reaches back to {@code day}. */
    static LocalDate lapse(LocalDate day, String period) {
        Period back = Period.parse(period);
        LocalDate first = day;
        while (!first.minus(back).isAfter(day)) {
            first = first.plusDays(1);
        }
        return first;
    }

    static LocalDate less(LocalDate day, String period) {
        return day.minus(Period.parse(period));
    }

    /** Yes if it holds on every day of the range, no if on none, else can't tell. */
    static Outcome overDays(Days days, Predicate<LocalDate> holds) {
        boolean any = false;
        boolean all = true;
        for (LocalDate day = days.first(); !day.isAfter(days.last()); day = day.plusDays(1)) {
            boolean here = holds.test(day);
            any |= here;
            all &= here;
            if (any && !all) {
                return Outcome.UNSURE;
            }
        }
        return all ? Outcome.YES : Outcome.NO;
    }

    static Days days(String written) {
        if (written.length() == 4) {
            LocalDate first = LocalDate.parse(written + "-01-01");
            return new Days(first, first.plusYears(1).minusDays(1));
        }
        if (written.length() == 7) {
            LocalDate first = LocalDate.parse(written + "-01");
            return new Days(first, first.plusMonths(1).minusDays(1));
        }
        return new Days(LocalDate.parse(written), LocalDate.parse(written));
    }

    /** The days of an event's {@code on}, which ends at the as-of date where it is partial and has begun. */
    Optional<Days> on(Row event) {
        return event.cell("on")
                .map(NaiveDays::days)
                .map(days -> !days.isExact()
                                && !days.first().isAfter(asOf)
                                && days.last().isAfter(asOf)
                        ? new Days(days.first(), asOf)
                        : days);
    }

    Days window(JsonNode window) {
        if (window.has("ever")) {
            return new Days(FIRST_DAY, asOf);
        }
        if (window.has("any")) {
            return new Days(FIRST_DAY, LAST_DAY);
        }
        if (window.has("last")) {
            return new Days(less(asOf, window.get("last").asString()), asOf);
        }
        if (window.has("next")) {
            return new Days(asOf, asOf.plus(Period.parse(window.get("next").asString())));
        }
        if (window.has("ago")) {
            return new Days(
                    less(asOf, window.get("ago").get(0).asString()),
                    less(asOf, window.get("ago").get(1).asString()));
        }
        if (window.has("sinceStartOf")) {
            LocalDate start = asOf;
            while (!startsUnit(start, window.get("sinceStartOf").asString())) {
                start = start.minusDays(1);
            }
            return new Days(start, asOf);
        }
        JsonNode first = window.get("dates").get(0);
        JsonNode last = window.get("dates").get(1);
        return new Days(
                first.isNull() ? FIRST_DAY : days(first.asString()).first(),
                last.isNull() ? LAST_DAY : days(last.asString()).last());
    }

    private static boolean startsUnit(LocalDate day, String unit) {
        return switch (unit) {
            case "week" -> day.getDayOfWeek().getValue() == 1;
            case "month" -> day.getDayOfMonth() == 1;
            case "quarter" -> day.getDayOfMonth() == 1 && (day.getMonthValue() - 1) % 3 == 0;
            default -> day.getDayOfYear() == 1;
        };
    }

    static boolean holds(Days window, LocalDate day) {
        return !day.isBefore(window.first()) && !day.isAfter(window.last());
    }

    Outcome inWindow(JsonNode window, Optional<Days> date, Row person, boolean undatedEvent) {
        if (window.has("atAge")) {
            return inAgeWindow(Ages.of(window.get("atAge")), date, person, undatedEvent);
        }
        Days range = window(window);
        if (date.isPresent()) {
            return overDays(date.get(), day -> holds(range, day));
        }
        if (!undatedEvent) {
            return Outcome.UNSURE;
        }
        return overDays(new Days(FIRST_DAY, asOf), day -> holds(range, day));
    }

    /** Whether a day, whichever it was, lies in the window of a birth, whichever that was. */
    private Outcome inAgeWindow(Ages ages, Optional<Days> date, Row person, boolean undatedEvent) {
        Optional<Days> birth = person.cell("birth_date").map(NaiveDays::days);
        if (birth.isEmpty() || (date.isEmpty() && !undatedEvent)) {
            return Outcome.UNSURE;
        }
        Days when = date.orElse(new Days(FIRST_DAY, asOf));
        boolean any = false;
        boolean all = true;
        for (LocalDate born = birth.get().first(); !born.isAfter(birth.get().last()); born = born.plusDays(1)) {
            LocalDate day = born;
            Outcome here = overDays(when, at -> ages.hold(day, at));
            any |= here != Outcome.NO;
            all &= here == Outcome.YES;
            if (any && !all) {
                return Outcome.UNSURE;
            }
        }
        return all ? Outcome.YES : Outcome.NO;
    }

    /** Ages in whole units, both included; none before birth. */
    private record Ages(ChronoUnit unit, long from, long through) {
        static Ages of(JsonNode written) {
            return new Ages(
                    ChronoUnit.valueOf(written.path("unit").asString("years").toUpperCase(Locale.ROOT)),
                    written.path("from").asLong(0),
                    written.path("through").asLong(Long.MAX_VALUE));
        }

        boolean hold(LocalDate birth, LocalDate day) {
            long age = unit.between(birth, day);
            return !day.isBefore(birth) && age >= from && age <= through;
        }
    }

    Outcome age(JsonNode written, Row person) {
        Ages ages = Ages.of(written);
        String on = written.path("on").asString("");
        LocalDate day = switch (on) {
            case "" -> asOf;
            case "startOfYear" -> asOf.withDayOfYear(1);
            case "endOfYear" -> asOf.withMonth(12).withDayOfMonth(31);
            default -> LocalDate.parse(on);
        };
        return person.cell("birth_date")
                .map(birth -> overDays(days(birth), born -> ages.hold(born, day)))
                .orElse(Outcome.UNSURE);
    }
}
