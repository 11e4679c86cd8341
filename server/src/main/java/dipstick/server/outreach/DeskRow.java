package dipstick.server.outreach;

import dipstick.server.people.PersonLine;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Somebody at the desk.
 *
 * @param due a date, "never", or empty
 * @param heldBack why they are not to be called or written to now; nothing where they may be
 * @param setAside until when and why a colleague set them aside; nothing where nobody did
 * @param inHand who has them in hand; nothing for nobody
 * @param nextOn an ISO date, or empty where nothing comes next
 * @param alsoOn the names of the other lists that they are on, which whoever asks may see
 * @param place where they stand in the order that the set gives; nothing where it gives none
 * @param beyondTop whether they are on the list and to be contacted, and the set shows only so many before them
 * @param shown by its name, what the set shows besides
 * @param lastAttempt what came of the latest attempt, on whichever list
 */
record DeskRow(
        PersonLine person,
        String language,
        String contactBy,
        int revision,
        Entry.Standing standing,
        Entry.State state,
        String due,
        String band,
        String joinedOn,
        String changedOn,
        String why,
        Optional<String> heldBack,
        Optional<String> setAside,
        Optional<InHand> inHand,
        Step nextStep,
        String nextOn,
        List<String> alsoOn,
        Optional<Integer> place,
        boolean beyondTop,
        Map<String, String> shown,
        Optional<LastAttempt> lastAttempt) {
    record InHand(String account, String name, boolean mine, String since) {}

    record LastAttempt(String outcome, String on, String by) {}
}
