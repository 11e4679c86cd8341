package dipstick.server.personal;

import java.time.Instant;

/**
 * That somebody was erased; it does not tell who.
 *
 * @param stub which took their place
 * @param askedBy who asked for it, as whoever did it wrote down
 * @param keptOut whether files that name them still are read without them
 */
public record Erasure(
        long id, String stub, Instant erasedAt, String erasedBy, String askedBy, String why, boolean keptOut) {}
