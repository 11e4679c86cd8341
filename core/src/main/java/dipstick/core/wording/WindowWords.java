package dipstick.core.wording;

import dipstick.core.time.AgeSpan;
import dipstick.core.time.AgeUnit;
import dipstick.core.time.CalendarPeriod;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;

/** Windows and ages in words, with the days they come to. */
final class WindowWords {
    /** Further back than any record of somebody who lives. */
    static final CalendarPeriod LONG_AGO = CalendarPeriod.parse("P150Y").orElseThrow();

    static final CalendarPeriod ONE_DAY = CalendarPeriod.parse("P1D").orElseThrow();
    private static final CalendarPeriod NO_TIME = CalendarPeriod.parse("P0D").orElseThrow();

    private WindowWords() {}

    /** The window, and its days in brackets where the words do not name them. */
    static String of(Window window, Place place) {
        return switch (window) {
            case Window.Ever _ -> "at any time" + place.days(asOf -> "up to " + DayWords.day(asOf));
            case Window.AnyDay _ -> "at any time, past or ahead";
            case Window.Last(var period)
            when period.equals(NO_TIME) && !place.at("last").holdsDial() -> "today" + place.days(DayWords::day);
            case Window.Ago(var from, var to)
            when from.equals(ONE_DAY)
                    && to.equals(ONE_DAY)
                    && !place.at("ago").at(0).holdsDial()
                    && !place.at("ago").at(1).holdsDial() ->
                "yesterday" + place.days(asOf -> DayWords.day(asOf.minusDays(1)));
            case Window.Last(var period) -> "in the last " + period(period, place.at("last")) + days(window, place);
            case Window.Next(var period) -> "in the next " + period(period, place.at("next")) + days(window, place);
            case Window.Ago(var from, var to)
            when from.equals(LONG_AGO) && !place.at("ago").at(0).holdsDial() ->
                period(to, place.at("ago").at(1)) + " or more ago"
                        + place.days(asOf -> "up to " + DayWords.day(to.before(asOf)));
            case Window.Ago(var from, var to) ->
                "between " + period(from, place.at("ago").at(0)) + " and "
                        + period(to, place.at("ago").at(1)) + " ago" + days(window, place);
            case Window.SinceStartOf(var unit) -> "since the start of the " + unit.word() + days(window, place);
            case Window.Dates(var days) ->
                span(days, place.at("dates").at(0), place.at("dates").at(1));
            case Window.AtAge(var ages) -> "at age " + ages(ages, place.at("atAge"));
        };
    }

    static String period(CalendarPeriod period, Place place) {
        return place.words(DayWords.period(period));
    }

    /** From one day to another, either of which may be open. */
    static String span(DateRange days, Place from, Place through) {
        if (!from.holdsDial() && !through.holdsDial()) {
            return DayWords.inSentence(days);
        }
        String last = through.words(DayWords.day(days.last()));
        if (days.first() == DateRange.OPEN_FIRST && !from.holdsDial()) {
            return "up to " + last;
        }
        boolean open = days.last() == DateRange.OPEN_LAST && !through.holdsDial();
        return "from " + from.words(DayWords.day(days.first())) + (open ? " on" : " to " + last);
    }

    static String ages(AgeSpan ages, Place place) {
        String unit = ages.unit() == AgeUnit.YEARS ? "" : " " + ages.unit().word();
        String from = ages.from().isPresent()
                ? place.at("from").words(String.valueOf(ages.from().getAsInt()))
                : "";
        if (ages.through().isEmpty()) {
            return from + unit + " or over";
        }
        String through = place.at("through").words(String.valueOf(ages.through().getAsInt()));
        return from.isEmpty() ? through + unit + " or under" : from + " to " + through + unit;
    }

    private static String days(Window window, Place place) {
        return place.days(asOf -> DayWords.range(window.daysAsOf(asOf)));
    }
}
