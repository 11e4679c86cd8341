package dipstick.region.evaluate;

import java.io.Serializable;

/**
 * What came of a part.
 *
 * @param answer as it is written; empty where something was wrong
 * @param people how many rows of people were there
 * @param fault what was wrong, as a sentence; empty where nothing was. It is told and not thrown: to try again would not
 *     mend a file
 */
record PartResult(byte[] answer, long people, long events, String fault) implements Serializable {
    static PartResult faulty(String fault) {
        return new PartResult(new byte[0], 0, 0, fault);
    }

    boolean isFaulty() {
        return !fault.isEmpty();
    }
}
