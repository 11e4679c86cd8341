package dipstick.server.sidebyside;

import dipstick.core.things.Pairing;
import dipstick.core.things.SideBySide;
import dipstick.core.things.Things;

/**
 * Two lists as they were laid side by side.
 *
 * @param here the name of the one, and {@code there} of the other
 */
record Laid(Side here, Side there, Pairing pairing, SideBySide result) {
    /** A list of things with a name for people. */
    record Side(String name, Things things) {
        /** Longer lists are refused: they are held in memory. */
        static final int MOST_CELLS = 2_000_000;
    }
}
