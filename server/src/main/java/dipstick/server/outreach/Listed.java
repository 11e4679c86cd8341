package dipstick.server.outreach;

import dipstick.core.evaluate.ListMember;
import dipstick.server.people.PersonLine;
import java.util.Map;

/**
 * Somebody on a list as it goes out of the house; everything in words, empty where there is nothing to say. Days are ISO
 * dates.
 *
 * @param inTheWay why nothing is to be sent to them, and nobody is to call: excused, held back, in the hand of another
 *     colleague, or not to be contacted on this list any more
 * @param shown by its name, what the set shows of them besides
 */
public record Listed(
        PersonLine person,
        String standing,
        String state,
        String due,
        String band,
        String why,
        String nextStep,
        String nextOn,
        String inHand,
        String lastAttempt,
        String lastAttemptOn,
        String joinedOn,
        String alsoOn,
        String heldBack,
        String inTheWay,
        Map<String, String> shown) {
    /** Whether the records do not say if they belong on the list. */
    public boolean isToCheck() {
        return standing.equals(ListMember.State.CHECK.word());
    }
}
