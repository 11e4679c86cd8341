package dipstick.server.web;

import dipstick.server.database.DeadConnections;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;

/** What is said where the database closed itself, as it does while the disk takes nothing. */
final class RecordsAway {
    private RecordsAway() {}

    /** Nothing where the failure is another one. */
    static Optional<ProblemDetail> of(@Nullable Throwable failure) {
        return Optional.ofNullable(failure)
                .filter(DeadConnections::isGone)
                .map(_ -> Problems.problem(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "records-away",
                        "The records cannot be reached just now, most likely since the disk of the server is full. What was"
                                + " saved is kept, and it goes on by itself once there is room; tell whoever looks after the"
                                + " server."));
    }
}
