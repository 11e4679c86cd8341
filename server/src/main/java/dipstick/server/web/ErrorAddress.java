package dipstick.server.web;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where the server leads what was refused before it reached anything of ours. */
@Hidden
@RestController
class ErrorAddress implements ErrorController {
    @RequestMapping("${server.error.path:${error.path:/error}}")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        Object failure = request.getAttribute(RequestDispatcher.ERROR_EXCEPTION);
        ProblemDetail problem = RecordsAway.of(failure instanceof Throwable thrown ? thrown : null)
                .orElseGet(() -> ProblemWords.of(
                        status instanceof Integer known ? HttpStatusCode.valueOf(known) : HttpStatus.NOT_FOUND));
        return ResponseEntity.status(problem.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }
}
