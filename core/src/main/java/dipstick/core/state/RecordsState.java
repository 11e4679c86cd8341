package dipstick.core.state;

import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.List;

/**
 * What can be trusted of the records.
 *
 * @param feeds by source and kind, the largest first
 * @param blanksOfPeople by field
 * @param blanksOfEvents by field and kind
 * @param oddities only those of which there are any
 */
public record RecordsState(
        List<Feed> feeds, List<Blanks> blanksOfPeople, List<Blanks> blanksOfEvents, List<Oddity> oddities) {
    public RecordsState {
        feeds = List.copyOf(feeds);
        blanksOfPeople = List.copyOf(blanksOfPeople);
        blanksOfEvents = List.copyOf(blanksOfEvents);
        oddities = List.copyOf(oddities);
    }

    public static RecordsState of(Population population, LocalDate today) {
        return new RecordsState(
                Feeds.of(population.events(), today),
                Blanks.ofPeople(population),
                Blanks.ofEvents(population.events()),
                Oddities.of(population, today));
    }
}
