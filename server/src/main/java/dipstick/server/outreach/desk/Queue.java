package dipstick.server.outreach.desk;

import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.practice.Spans;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * A pile of the desk, from which the next person is taken. Whoever is to check is in a pile of their own, whatever else is
 * true of them; only those in one's own hand, those who are excused, and those who are done with are of both.
 */
enum Queue {
    /** Something is to be done now. */
    OPEN,
    /** In the hand of whoever looks. */
    MINE,
    /** Something is to be done now, and nobody has them in hand. */
    NOBODYS,
    /** What was planned is due, and nobody else has them in hand. */
    DUE,
    JOINED,
    CHECK,
    PROGRESS,
    /** What was planned lies ahead. */
    WAITING,
    HELD,
    EXCUSED,
    DONE;

    /** @param account of whoever looks */
    boolean holds(Place place, String account, LocalDate day) {
        Entry entry = place.entry();
        boolean isOpen = entry.isOpen();
        boolean isOn = place.isOn();
        return switch (this) {
            case OPEN -> isOn && place.isDue(day);
            case MINE -> isOpen && place.isInHandOf(account);
            case NOBODYS -> isOn && place.hand().isEmpty() && place.isDue(day);
            case DUE ->
                isOn
                        && !entry.nextOn().isEmpty()
                        && (place.hand().isEmpty() || place.isInHandOf(account))
                        && place.isDue(day);
            case JOINED -> isOn && isOpen && ChronoUnit.DAYS.between(entry.joinedOn(), day) < Spans.JOINED;
            case CHECK -> isOpen && place.excused().isEmpty() && entry.standing() == Standing.CHECK;
            case PROGRESS -> isOn && entry.state() == Entry.State.IN_PROGRESS;
            case WAITING -> isOn && place.isWorked() && entry.nextOn().compareTo(day.toString()) > 0;
            case HELD -> isOn && isOpen && place.excused().isEmpty() && place.isHeldBack();
            case EXCUSED -> isOpen && place.excused().isPresent();
            case DONE -> !isOpen;
        };
    }
}
