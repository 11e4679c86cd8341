package dipstick.server.database;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Connections to a database that closed itself, as it does where the disk refuses what it writes, are thrown away: the next
 * one opens it again, as soon as the disk lets it.
 */
public final class DeadConnections implements SQLExceptionOverride {
    /** Of H2: closed, closing, closed since the disk failed, and what the disk says. */
    private static final Set<Integer> GONE = Set.of(90_098, 90_121, 90_028, 90_031);

    /** By its name, since what is compiled knows no database. */
    private static final String STORE_FAILED = "org.h2.mvstore.MVStoreException";

    @java.lang.Override
    public Override adjudicate(SQLException failure) {
        return isGone(failure) ? Override.MUST_EVICT : Override.CONTINUE_EVICT;
    }

    /** Whether a failure, or what led to it, is not of a statement but of the database as a whole. */
    public static boolean isGone(Throwable failure) {
        return Stream.iterate(failure, one -> one != null, Throwable::getCause)
                .anyMatch(cause -> (cause instanceof SQLException wrong && GONE.contains(wrong.getErrorCode()))
                        || cause.getClass().getName().equals(STORE_FAILED));
    }
}
