package dipstick.server.web;

import java.util.function.IntSupplier;
import org.springframework.dao.DuplicateKeyException;

/** Saves what several may change at once: a change to a state that is not the latest is told, and overwrites nothing. */
public final class Revision {
    private Revision() {}

    /**
     * Saves the first revision of a thing, or the one after the revision that was seen.
     *
     * @param insert gives how many rows it wrote, as does {@code update}
     * @param what is saved, as in “how this list is read”
     */
    public static void save(boolean first, IntSupplier insert, IntSupplier update, String what) {
        if (!(first ? inserted(insert) : update.getAsInt() == 1)) {
            throw Problems.changedMeanwhile(
                    "Somebody changed " + what + " meanwhile. Yours was not saved: look at theirs first.");
        }
    }

    private static boolean inserted(IntSupplier insert) {
        try {
            return insert.getAsInt() == 1;
        } catch (DuplicateKeyException another) {
            return false;
        }
    }
}
