package dipstick.core.evaluate;

import dipstick.core.population.Population;
import java.time.LocalDate;

/** A population as seen from one as-of date. */
record Seen(Population population, LocalDate asOf, int today, EventDates dates) {
    static Seen from(Population population, LocalDate asOf) {
        int today = Math.toIntExact(asOf.toEpochDay());
        return new Seen(
                population, asOf, today, new EventDates(population.events().on(), today));
    }
}
