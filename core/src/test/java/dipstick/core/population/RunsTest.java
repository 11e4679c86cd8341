package dipstick.core.population;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.population.Runs.Place;
import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.time.DateRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Where rows lie, over more people than one block holds. */
class RunsTest {
    private static final int PEOPLE = 2 * Runs.PEOPLE + 50;
    private static final int DAYS = 40;

    private final Random random = new Random(11);
    private final Population built = people(IntStream.range(0, PEOPLE).toArray());

    @Test
    void rows_of_a_concept_lie_by_block_then_by_day_and_those_of_no_one_day_last() {
        assertInOrder(built.events());
    }

    @Test
    void people_who_are_read_anew_are_sorted_in() {
        int[] some = IntStream.concat(random.ints(300, 0, PEOPLE).distinct(), IntStream.range(PEOPLE, PEOPLE + 9000))
                .toArray();

        Population renewed = built.with(people(some));

        assertInOrder(renewed.events());
        assertThat(renewed.events().owner(renewed.events().size() - 1)).isLessThan(PEOPLE + 9000);
    }

    @Test
    void the_rows_of_a_window_are_those_whose_day_is_in_it() {
        Events events = built.events();
        for (int i = 0; i < 200; i++) {
            DateRange window = i == 0 ? DateRange.ALL_DAYS : window();
            for (int concept = 0; concept < events.concepts().count(); concept++) {
                for (int block = 0; block < 3; block++) {
                    assertThat(found(events, concept, block, window))
                            .as("concept %d, block %d, %s", concept, block, window)
                            .isEqualTo(expected(events, concept, block, window));
                }
            }
        }
    }

    @Test
    void a_concept_that_a_block_does_not_have_has_no_run_there() {
        Population few = people(new int[] {3, Runs.PEOPLE - 1});
        Population later = built.with(people(new int[] {PEOPLE}));

        assertThat(few.events().runs().find(0, 1)).isEqualTo(Runs.NONE);
        assertThat(later.events().runs().find(0, 40)).isEqualTo(Runs.NONE);
    }

    private DateRange window() {
        int first = random.nextInt(-5, DAYS + 5);
        return random.nextInt(5) == 0 ? DateRange.upTo(first) : new DateRange(first, first + random.nextInt(DAYS));
    }

    private static List<Integer> found(Events events, int concept, int block, DateRange window) {
        int run = events.runs().find(concept, block);
        return run == Runs.NONE
                ? List.of()
                : IntStream.range(
                                events.runs().firstIn(run, window),
                                events.runs().endIn(run, window))
                        .boxed()
                        .toList();
    }

    private static List<Integer> expected(Events events, int concept, int block, DateRange window) {
        return IntStream.range(
                        events.concepts().start(concept), events.concepts().end(concept))
                .filter(row -> Runs.blockOf(events.owner(row)) == block)
                .filter(row -> events.on().isExact(row)
                        && window.contains(
                                events.on().days().first(events.on().codes().get(row))))
                .boxed()
                .toList();
    }

    private static void assertInOrder(Events events) {
        for (int concept = 0; concept < events.concepts().count(); concept++) {
            List<Place> places = new ArrayList<>();
            for (int row = events.concepts().start(concept);
                    row < events.concepts().end(concept);
                    row++) {
                places.add(Place.of(row, events.owner(row), events.on()));
            }
            assertThat(places).isSorted();
        }
    }

    private Population people(int[] numbers) {
        PopulationBuilder builder = new PopulationBuilder(RecordFields.KNOWN);
        for (int number : numbers) {
            String id = "p" + number;
            builder.add(new PersonRecord(id, Map.of("id", new FieldValue.OfText(id))));
        }
        for (int i = 0; i < numbers.length * 3; i++) {
            builder.add(EventRecord.of("p" + numbers[random.nextInt(numbers.length)], "kind " + random.nextInt(3))
                    .text("id", "e" + i)
                    .date("on", date())
                    .build());
        }
        return builder.seal();
    }

    /** An exact one mostly; a stretch of days, or none. */
    private Optional<DateRange> date() {
        int first = random.nextInt(DAYS);
        return switch (random.nextInt(8)) {
            case 0 -> Optional.empty();
            case 1 -> Optional.of(new DateRange(first, first + 30));
            default -> Optional.of(new DateRange(first, first));
        };
    }
}
