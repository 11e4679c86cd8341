package dipstick.server.people;

import dipstick.core.population.Codes;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
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

    /** The days of the next one that is or may be on a day or after it. */
    public static Optional<DateRange> next(Population records, int person, LocalDate from) {
        return of(records.events(), person)
                .filter(range -> range.last() >= from.toEpochDay())
                .min(Comparator.comparingInt(DateRange::first).thenComparingInt(DateRange::last));
    }

    private static Stream<DateRange> of(Events events, int person) {
        return events.of(person)
                .filter(event -> NormalText.of(events.kind().writtenAt(event)).equals(KIND))
                .filter(event -> !OFF.contains(NormalText.of(events.status().writtenAt(event))))
                .filter(event -> events.on().codes().get(event) != Codes.MISSING)
                .mapToObj(event -> events.on().days().get(events.on().codes().get(event)));
    }
}
