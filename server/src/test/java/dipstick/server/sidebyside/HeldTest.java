package dipstick.server.sidebyside;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.things.Pairing;
import dipstick.core.things.SideBySide;
import dipstick.core.things.Things;
import dipstick.server.SetClock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class HeldTest {
    private final SetClock clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
    private final Held held = new Held(clock);

    private static Laid.Side side(int rows) {
        return new Laid.Side("x", new Things(List.of("a"), Collections.nCopies(rows, List.of("1"))));
    }

    private static Laid laid() {
        Pairing pairing = new Pairing(List.of(new Pairing.Pair("a", "a")), List.of());
        SideBySide nothing =
                new SideBySide(List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of());
        return new Laid(side(1), side(1), pairing, nothing);
    }

    @Test
    void what_was_held_longest_goes_where_cells_are_too_many_and_what_was_laid_of_it_too() {
        String one = held.hold(side(2_000_000), "orla");
        String two = held.hold(side(2_000_000), "orla");
        String laid = held.hold(laid(), Set.of(two), "orla");
        String ofFirst = held.hold(laid(), Set.of(one, two), "orla");
        String three = held.hold(side(2_000_000), "tam");
        assertThat(held.find(one, Laid.Side.class, "orla")).isPresent();
        String four = held.hold(side(1), "tam");
        assertThat(held.find(one, Laid.Side.class, "orla")).isEmpty();
        assertThat(held.find(ofFirst, Laid.class, "orla")).isEmpty();
        assertThat(held.find(two, Laid.Side.class, "orla")).isPresent();
        assertThat(held.find(laid, Laid.class, "orla")).isPresent();
        assertThat(held.find(laid, Laid.class, "tam"))
                .as("nobody else gets at it")
                .isEmpty();
        assertThat(held.find(three, Laid.Side.class, "tam")).isPresent();
        assertThat(held.find(four, Laid.class, "tam")).as("it is no such thing").isEmpty();
    }

    @Test
    void nothing_is_held_for_more_than_an_hour() {
        Instant start = clock.instant();
        String old = held.hold(side(1), "orla");
        clock.set(start.plus(Duration.ofMinutes(40)));
        String later = held.hold(side(1), "orla");
        clock.set(start.plus(Duration.ofMinutes(61)));
        held.letGoWhatIsOld();
        assertThat(held.find(old, Laid.Side.class, "orla")).isEmpty();
        assertThat(held.find(later, Laid.Side.class, "orla")).isPresent();
    }
}
