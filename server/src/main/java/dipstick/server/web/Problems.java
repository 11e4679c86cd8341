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

    /** A change that does not say to which state of a thing it was made (RFC 6585, section 3). */
    public static ErrorResponseException preconditionRequired() {
        return refused(
                HttpStatus.PRECONDITION_REQUIRED,
                "revision-missing",
                "A change must say to which revision it was made, as If-Match. Nothing was changed.");
    }

    static ProblemDetail problem(HttpStatus status, String type, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:dipstick:" + type));
        return problem;
    }
}
