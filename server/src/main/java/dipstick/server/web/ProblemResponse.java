package dipstick.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;

/** Writes a problem detail (RFC 9457) from where no controller is reached, such as a filter. */
public final class ProblemResponse {
    private ProblemResponse() {}

    /** @param detail a sentence of ours, which needs no escaping */
    public static void write(HttpServletResponse response, HttpStatus status, String type, String detail)
            throws IOException {
        write(response, Problems.problem(status, type, detail));
    }

    /** What is said of a status anywhere. */
    public static void write(HttpServletResponse response, HttpStatus status) throws IOException {
        write(response, ProblemWords.of(status));
    }

    static void write(HttpServletResponse response, ProblemDetail problem) throws IOException {
        response.setStatus(problem.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write(ProblemWords.json(problem));
    }
}
