package dipstick.server.outreach.desk;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.Entry.State;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.outreach.excused.Excusal;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.outreach.plan.Step;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** In which piles somebody is, at every boundary. */
class QueueTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
    private static final String ME = "tam";

    private static Entry entry(Standing standing, State state, Step step, String nextOn, LocalDate joined) {
        return new Entry(1, "set", "p", standing, state, "never", "", joined, "why", 0, step, nextOn, 1, joined);
    }

    private static Place place(Entry entry) {
        return new Place(entry, "name", Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    private static Place toCall(String nextOn) {
        return place(entry(Standing.ON, State.TO_CONTACT, Step.CALL, nextOn, DAY.minusDays(30)));
    }

    private static Place held(Place place, Step step) {
        Entry entry = place.entry();
        return new Place(
                entry.with(entry.state(), entry.stepsDone(), step, entry.nextOn(), DAY),
                place.name(),
                Optional.of("Was reached."),
                place.excused(),
                place.hand(),
                place.attempt());
    }

    private static Place excused(Place place) {
        Excusal excused = new Excusal(1, 1, "set", "p", "abroad", DAY, "", ME, false);
        return new Place(
                place.entry(), place.name(), place.heldBack(), Optional.of(excused), place.hand(), place.attempt());
    }

    private static Place inHand(Place place, String account) {
        Hand hand = new Hand("p", account, Instant.EPOCH);
        return new Place(
                place.entry(), place.name(), place.heldBack(), place.excused(), Optional.of(hand), place.attempt());
    }

    private static List<Queue> queues(Place place) {
        return Arrays.stream(Queue.values())
                .filter(queue -> queue.holds(place, ME, DAY))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"2026-11-25, true", "2026-11-26, true", "2026-11-27, false", "'', true"})
    void nobody_is_tried_before_the_day_that_is_planned(String nextOn, boolean due) {
        assertThat(Queue.OPEN.holds(toCall(nextOn), ME, DAY)).isEqualTo(due);
        assertThat(Queue.NOBODYS.holds(toCall(nextOn), ME, DAY)).isEqualTo(due);
        assertThat(Queue.WAITING.holds(toCall(nextOn), ME, DAY)).isEqualTo(!due);
        assertThat(Queue.DUE.holds(toCall(nextOn), ME, DAY)).isEqualTo(due && !nextOn.isEmpty());
    }

    @Test
    void whoever_is_in_a_hand_is_nobodys_no_more() {
        assertThat(queues(toCall("2026-11-26"))).containsExactly(Queue.OPEN, Queue.NOBODYS, Queue.DUE);
        assertThat(queues(inHand(toCall("2026-11-26"), ME))).containsExactly(Queue.OPEN, Queue.MINE, Queue.DUE);
        assertThat(queues(inHand(toCall("2026-11-26"), "ines"))).containsExactly(Queue.OPEN);
        assertThat(queues(inHand(toCall("2026-12-26"), ME))).containsExactly(Queue.MINE, Queue.WAITING);
    }

    @Test
    void whoever_is_not_to_be_called_is_out_of_the_way_but_in_sight() {
        assertThat(queues(held(toCall("2026-11-26"), Step.CALL))).containsExactly(Queue.HELD);
        assertThat(queues(held(toCall("2026-11-26"), Step.LOOK)))
                .as("looking pesters nobody")
                .containsExactly(Queue.OPEN, Queue.NOBODYS, Queue.DUE);
        assertThat(queues(held(toCall("2026-11-26"), Step.CLOSE))).contains(Queue.OPEN);
        assertThat(queues(excused(toCall("2026-11-26")))).containsExactly(Queue.EXCUSED);
        assertThat(queues(excused(held(toCall("2026-11-26"), Step.CALL)))).containsExactly(Queue.EXCUSED);
        assertThat(queues(excused(inHand(toCall("2026-11-26"), ME)))).containsExactly(Queue.MINE, Queue.EXCUSED);
    }

    @ParameterizedTest
    @CsvSource({"0, true", "6, true", "7, false", "30, false"})
    void somebody_counts_as_joined_for_seven_days(int daysAgo, boolean joined) {
        Place place = place(entry(Standing.ON, State.TO_CONTACT, Step.CALL, "", DAY.minusDays(daysAgo)));
        assertThat(Queue.JOINED.holds(place, ME, DAY)).isEqualTo(joined);
    }

    @Test
    void whoever_is_to_check_is_in_a_pile_of_their_own() {
        Place check = place(entry(Standing.CHECK, State.IN_PROGRESS, Step.LOOK, "2026-11-26", DAY));
        assertThat(queues(check)).containsExactly(Queue.CHECK);
        assertThat(queues(inHand(check, ME))).containsExactly(Queue.MINE, Queue.CHECK);
        assertThat(queues(excused(check))).containsExactly(Queue.EXCUSED);
        Place tried = place(entry(Standing.ON, State.IN_PROGRESS, Step.CALL, "2026-12-26", DAY.minusDays(30)));
        assertThat(queues(tried)).containsExactly(Queue.PROGRESS, Queue.WAITING);
    }

    @ParameterizedTest
    @CsvSource({"DONE", "LEFT", "CLOSED"})
    void whoever_is_done_with_is_in_no_other(State state) {
        Standing standing = state == State.CLOSED ? Standing.ON : Standing.OFF;
        assertThat(queues(place(entry(standing, state, Step.NONE, "", DAY)))).containsExactly(Queue.DONE);
        assertThat(queues(excused(inHand(place(entry(standing, state, Step.NONE, "", DAY)), ME))))
                .containsExactly(Queue.DONE);
    }
}
