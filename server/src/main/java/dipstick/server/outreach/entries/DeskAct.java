package dipstick.server.outreach.entries;

import java.time.Instant;
import java.time.LocalDate;

/**
 * Something that was done about somebody.
 *
 * @param batch names what was done at once, by which it is undone, and done once however often it is sent
 * @param setId the list on which it was done
 * @param account who did it; empty for a reading
 * @param outcome of an attempt, by its id; of somebody brought back, the act that excused them; else empty
 * @param handBefore who had them in hand before; empty for nobody, and for what a reading did
 */
public record DeskAct(
        long id,
        String batch,
        String setId,
        String person,
        String account,
        Instant at,
        LocalDate onDay,
        Kind kind,
        String outcome,
        String words,
        String handBefore,
        boolean undone) {
    public enum Kind {
        JOINED,
        DONE,
        LEFT,
        NOW_TO_CHECK,
        NOW_ON,
        TAKEN,
        LET_GO,
        GIVEN,
        ATTEMPT,
        NOTE,
        PLANNED,
        CLOSED,
        REOPENED,
        EXCUSED,
        BACK,
        HANDED_OVER;

        /** Whether the person was tried to be reached, which matters whatever it was for. */
        public boolean isContact() {
            return this == ATTEMPT;
        }

        /** Whether somebody may be in another hand, or none, after it. */
        public boolean mayMoveHands() {
            return switch (this) {
                case TAKEN, LET_GO, GIVEN, HANDED_OVER, ATTEMPT, CLOSED, EXCUSED, DONE, LEFT -> true;
                case JOINED, NOW_TO_CHECK, NOW_ON, NOTE, PLANNED, REOPENED, BACK -> false;
            };
        }
    }
}
