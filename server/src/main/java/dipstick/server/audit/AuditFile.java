package dipstick.server.audit;

import dipstick.server.audit.AuditMapper.Link;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;

/** Verifies the log of a database over which no server runs. */
public final class AuditFile {
    /** What is said of a log begins so where nothing in it was changed. */
    public static final String RIGHT = "The audit log is right";

    private AuditFile() {}

    /** Walks the chain and says in a sentence what was found. */
    public static String verify(Connection connection) throws SQLException {
        ChainWalk walk = new ChainWalk();
        try (var statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(AuditMapper.LINK + "WHERE place IS NOT NULL ORDER BY place")) {
            boolean right = true;
            while (right && rows.next()) {
                right = walk.takes(new Link(
                        rows.getLong("id"),
                        Instant.EPOCH,
                        rows.getString("written"),
                        rows.getString("account"),
                        rows.getString("act"),
                        rows.getString("subject"),
                        rows.getString("address"),
                        rows.getString("session"),
                        rows.getLong("place"),
                        rows.getString("hash")));
            }
        }
        AuditChain.Verified verified = walk.result();
        return verified.broken()
                .map(id ->
                        "The audit log was changed: entry " + id + ", or the one before it, is not as it was written. "
                                + verified.entries() + " entries before it are right.")
                .orElse(RIGHT + ": " + verified.entries() + " entries, the last one's hash is " + verified.head()
                        + ".");
    }
}
