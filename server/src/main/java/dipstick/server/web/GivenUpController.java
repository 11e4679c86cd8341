package dipstick.server.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A browser waits no more for what it asked: somebody typed on, or went elsewhere. */
@RestController
class GivenUpController {
    private final OpenQuestions questions;

    GivenUpController(OpenQuestions questions) {
        this.questions = questions;
    }

    /** @param question as the browser named it in the header {@code Question} */
    @PostMapping("/api/given-up/{question}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void giveUp(@PathVariable @Size(max = OpenQuestions.LONGEST_NAME) String question, HttpServletRequest request) {
        questions.giveUp(request, question);
    }
}
