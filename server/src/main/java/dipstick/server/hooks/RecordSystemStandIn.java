package dipstick.server.hooks;

import java.util.Optional;

/** A record system that asks over HTTP as a real one does, and shows what it asked and was answered; the demo brings one. */
public interface RecordSystemStandIn {
    /**
     * What went over the wire.
     *
     * @param asked the JSON that was sent, {@code answered} the JSON that came back
     * @param milliseconds from asking to the whole answer
     */
    record Exchange(String asked, int status, String answered, long milliseconds) {}

    /** @param hook {@code patient-view} or {@code appointment-book} */
    Exchange ask(String hook, String person);

    /**
     * Tells what came of a card.
     *
     * @param reason why it is not wanted now; nothing where it was accepted
     */
    Exchange answer(String card, Optional<String> reason);
}
