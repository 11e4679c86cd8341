package dipstick.server.outreach.desk;

import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.outreach.plan.Step;
import dipstick.server.people.PersonLine;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Somebody at the desk.
 *
 * @param due a date, "never", or empty
 * @param open whether something is still to be done about them on this list
 * @param why the sentence that says why they joined, are done, or left
 * @param said what is to be said of them now: why nothing is to be done about them, if so, else {@code why}
 * @param heldBack why they are not to be called or written to now; nothing where they may be
 * @param held whether that keeps them from what comes next
 * @param excused until when and why a colleague excused them; nothing where nobody did
 * @param inHand who has them in hand; nothing for nobody
 * @param nextOn an ISO date, or empty where nothing comes next
 * @param alsoOn the names of the other lists that they are on, which whoever asks may see
 * @param beyondTop whether they are on the list and to be contacted, and the set shows only so many before them
 * @param shown by its name, what the set shows besides
 * @param lastAttempt what came of the latest attempt, on whichever list
 */
record DeskRow(
        PersonLine person,
        String language,
        String contactBy,
        int revision,
        Standing standing,
        Entry.State state,
        boolean open,
        String due,
        String band,
        String joinedOn,
        String changedOn,
        String why,
        String said,
        Optional<String> heldBack,
        boolean held,
        Optional<String> excused,
        Optional<InHand> inHand,
        Step nextStep,
        String nextOn,
        List<String> alsoOn,
        boolean beyondTop,
        Map<String, String> shown,
        Optional<LastAttempt> lastAttempt) {
    record InHand(String account, String name, boolean mine, String since) {}

    record LastAttempt(String outcome, String on, String by) {}
}
