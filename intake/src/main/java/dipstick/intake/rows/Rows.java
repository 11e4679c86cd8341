package dipstick.intake.rows;

import java.io.Closeable;
import java.io.IOException;
import java.util.Optional;

/** Rows of a table one after another; blank ones are passed over. */
public interface Rows extends Closeable {
    /**
     * The next row; nothing at the end.
     *
     * @throws UnreadableRows where the rest cannot be read as rows
     */
    Optional<Row> next() throws IOException;
}
