package dipstick.server.people;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Who is expected at the practice: records of the kind “appointment” that are not called off. */
public final class Appointments {
    private static final String KIND = "appointment";

    /** An appointment with one of these states does not take place, or did not. */
    private static final Set<String> OFF = Set.of(
            "cancelled",
            "canceled",
            "noshow",
            "no-show",
            "no show",
            "did not attend",
            "not attended",
            "entered-in-error");

    private Appointments() {}

    /**
     * An appointment of which the day is known.
     *
     * @param provider with whom; the person's own where the record does not say
     * @param site likewise
     */
    public record Appointment(LocalDate day, String provider, String site) {}

    /** The days of the next one that is or may be on a day or after it. */
    public static Optional<DateRange> next(Population records, int person, LocalDate from) {
        Events events = records.events();
        return of(events, person)
                .mapToObj(event -> days(events, event))
                .filter(range -> range.last() >= from.toEpochDay())
                .min(Comparator.comparingInt(DateRange::first).thenComparingInt(DateRange::last));
    }

    /** Those of somebody from one day to another, the first one first. */
    public static Stream<Appointment> between(Population records, int person, LocalDate first, LocalDate last) {
        Events events = records.events();
        return of(events, person)
                .filter(event -> days(events, event).isExact())
                .mapToObj(event -> new Appointment(
                        LocalDate.ofEpochDay(days(events, event).first()),
                        said(records, event, person, "provider"),
                        said(records, event, person, "site")))
                .filter(one -> !one.day().isBefore(first) && !one.day().isAfter(last))
                .sorted(Comparator.comparing(Appointment::day));
    }

    private static String said(Population records, int event, int person, String field) {
        return records.events()
                .fields()
                .find(field)
                .map(found -> ((Column.OfText) records.events().column(found)).writtenAt(event))
                .filter(text -> !text.isEmpty())
                .orElseGet(() -> PersonLine.text(records, person, field));
    }

    private static IntStream of(Events events, int person) {
        return events.of(person)
                .filter(event -> NormalText.of(events.kind().writtenAt(event)).equals(KIND))
                .filter(event -> !OFF.contains(NormalText.of(events.status().writtenAt(event))))
                .filter(event -> events.on().codes().get(event) != Codes.MISSING);
    }

    private static DateRange days(Events events, int event) {
        return events.on().days().get(events.on().codes().get(event));
    }
}
