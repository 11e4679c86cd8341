package dipstick.server.web;

import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;

/** What is said where nothing of ours was reached, or the framework refused: a type and a sentence for each status. */
final class ProblemWords {
    private ProblemWords() {}

    static ProblemDetail of(HttpStatusCode status) {
        HttpStatus known = HttpStatus.resolve(status.value());
        HttpStatus said = known == null ? HttpStatus.INTERNAL_SERVER_ERROR : known;
        return switch (said) {
            case BAD_REQUEST ->
                Problems.problem(
                        said, "not-understood", "What was asked for cannot be understood. Nothing was changed.");
            case UNAUTHORIZED ->
                Problems.problem(
                        said,
                        "signed-out",
                        "You are not signed in, or the sign-in has expired. Sign in and try again.");
            case FORBIDDEN ->
                Problems.problem(
                        said,
                        "not-allowed",
                        "Your account does not have the right to do this, or the page is out of date. Reload it, or ask"
                                + " the coordinator.");
            case NOT_FOUND -> Problems.problem(said, "nothing-here", "There is nothing at this address.");
            case METHOD_NOT_ALLOWED ->
                Problems.problem(said, "method-not-allowed", "This address does not do that. Nothing was changed.");
            case NOT_ACCEPTABLE ->
                Problems.problem(
                        said, "not-acceptable", "What is here cannot be given in the form that was asked for.");
            case CONTENT_TOO_LARGE ->
                Problems.problem(
                        said, "too-large", "What was sent is larger than what is taken here. Nothing was kept.");
            case UNSUPPORTED_MEDIA_TYPE ->
                Problems.problem(said, "unsupported-form", "What was sent is not JSON. Nothing was changed.");
            default ->
                said.is4xxClientError()
                        ? Problems.problem(said, "refused", "This was refused. Nothing was changed.")
                        : Problems.problem(
                                said,
                                "our-mistake",
                                "Something went wrong on our side. What was saved before is kept; try again.");
        };
    }

    /** As JSON, for where nothing writes it. The texts are ours and need no escaping. */
    static String json(ProblemDetail problem) {
        return "{\"type\":\"" + problem.getType() + "\",\"title\":\"" + problem.getTitle() + "\",\"status\":"
                + problem.getStatus() + ",\"detail\":\"" + problem.getDetail() + "\"}";
    }
}
