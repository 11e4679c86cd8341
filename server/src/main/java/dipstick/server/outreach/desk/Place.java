package dipstick.server.outreach.desk;

import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.outreach.excused.Excusal;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.outreach.plan.Step;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Somebody's place on a list, with what bears on it, whoever looks.
 *
 * @param name theirs, as it is compared
 * @param heldBack why they are not to be called or written to now; nothing where they may be
 * @param excused until when and why a colleague excused them; nothing where nobody did, or it is over
 * @param attempt the latest one, on whichever list
 */
record Place(
        Entry entry,
        String name,
        Optional<String> heldBack,
        Optional<Excusal> excused,
        Optional<Hand> hand,
        Optional<DeskAct> attempt) {
    String person() {
        return entry.person();
    }

    boolean isOn() {
        return entry.standing() == Standing.ON;
    }

    boolean isInHandOf(String account) {
        return hand.filter(one -> one.account().equals(account)).isPresent();
    }

    /** Whether they are held back from what comes next. Looking at the records, or closing, pesters nobody. */
    boolean isHeldBack() {
        return heldBack.isPresent() && entry.nextStep() != Step.LOOK && entry.nextStep() != Step.CLOSE;
    }

    /** Whether they are worked on: on the list, and neither excused nor held back. */
    boolean isWorked() {
        return entry.isOpen() && excused.isEmpty() && !isHeldBack();
    }

    /** Whether something is to be done now: nobody is tried before the day that is planned. */
    boolean isDue(LocalDate day) {
        return isWorked() && entry.nextOn().compareTo(day.toString()) <= 0;
    }
}
