package dipstick.server.web;

import java.net.URI;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;

/** Problem details (RFC 9457): a stable type, and a sentence for a person. */
public final class Problems {
    private Problems() {}

    public static ErrorResponseException refused(HttpStatus status, String type, String detail) {
        return new ErrorResponseException(status, problem(status, type, detail), null);
    }

    /** A problem with several spots of what was sent, each a pointer and a message. */
    public static ErrorResponseException refused(
            HttpStatus status, String type, String detail, List<Map<String, String>> errors) {
        ProblemDetail problem = problem(status, type, detail);
        problem.setProperty("errors", errors);
        return new ErrorResponseException(status, problem, null);
    }

    /** A change to a state of a thing that is not the latest any more; the sentence says what was kept. */
    public static ErrorResponseException changedMeanwhile(String sentence) {
        return refused(HttpStatus.PRECONDITION_FAILED, "changed-meanwhile", sentence);
    }

    static ProblemDetail problem(HttpStatus status, String type, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:dipstick:" + type));
        return problem;
    }
}
