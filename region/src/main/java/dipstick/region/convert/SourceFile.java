package dipstick.region.convert;

import dipstick.region.records.Side;
import java.io.Serializable;

/**
 * A file that is brought in.
 *
 * @param practice whose it is; empty where its people say it, or it is of their events
 */
record SourceFile(String path, Side side, String practice) implements Serializable {}
