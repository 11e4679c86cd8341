package dipstick.core.things;

import java.util.List;
import java.util.Optional;

/**
 * How two lists are laid side by side.
 *
 * @param key the columns that together say which thing a row is
 * @param compared the columns that are held beside each other where both lists have a thing
 */
public record Pairing(List<Pair> key, List<Compared> compared) {
    public Pairing {
        key = List.copyOf(key);
        compared = List.copyOf(compared);
    }

    /** A column here, and the one there that means the same. */
    public record Pair(String here, String there) {}

    /** @param split between several things in one cell, of which each is held beside the others; the cell as it is where it is absent */
    public record Compared(Pair columns, Optional<String> split) {}
}
