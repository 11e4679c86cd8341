package dipstick.server.upkeep;

import dipstick.server.web.ProblemResponse;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses what would be written while there is no room for it; looking goes on. */
@Component
class RoomGuard extends OncePerRequestFilter {
    private static final Set<String> WRITING = Set.of("POST", "PUT", "PATCH", "DELETE");

    /** What is posted to be answered, and writes a line of the log at most. */
    private static final List<String> LOOKING = List.of("/api/bench", "/api/sign-in", "/api/sign-out", "/api/given-up");

    private final Room room;

    RoomGuard(Room room) {
        this.room = room;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !WRITING.contains(request.getMethod()) || LOOKING.stream().anyMatch(request.getRequestURI()::startsWith);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (room.isOver()) {
            ProblemResponse.write(
                    response,
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "no-room",
                    "The disk of the server is full, so nothing was saved. What was saved before is kept; tell whoever looks"
                            + " after the server, and try again.");
        } else {
            chain.doFilter(request, response);
        }
    }
}
