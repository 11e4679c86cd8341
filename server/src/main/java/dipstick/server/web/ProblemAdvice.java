package dipstick.server.web;

import dipstick.core.evaluate.Patience;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.validation.Errors;
import org.springframework.validation.method.ParameterErrors;
import org.springframework.validation.method.ParameterValidationResult;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingRequestHeaderException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns whatever goes wrong into a problem detail; nobody ever sees a stack trace. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    /** ISO 9075, string data, right truncation. */
    private static final String TOO_LONG = "22001";

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException invalid, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return incomplete(spots(invalid));
    }

    /** As it is raised where an address has rules of its own besides what is sent. */
    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(
            HandlerMethodValidationException invalid, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return incomplete(invalid.getParameterValidationResults().stream().flatMap(ProblemAdvice::spotsOf));
    }

    private static ResponseEntity<Object> incomplete(Stream<Map<String, String>> spots) {
        ProblemDetail problem = Problems.problem(
                HttpStatus.UNPROCESSABLE_CONTENT, "incomplete", "Some of what was filled in does not fit.");
        problem.setProperty("errors", spots.toList());
        return ResponseEntity.unprocessableContent().body(problem);
    }

    private static Stream<Map<String, String>> spotsOf(ParameterValidationResult result) {
        if (result instanceof ParameterErrors errors) {
            return spots(errors);
        }
        String name = String.valueOf(result.getMethodParameter().getParameterName());
        return result.getResolvableErrors().stream().map(error -> spot(name, error));
    }

    private static Stream<Map<String, String>> spots(Errors errors) {
        return errors.getFieldErrors().stream().map(error -> spot(error.getField(), error));
    }

    private static Map<String, String> spot(String name, MessageSourceResolvable error) {
        return Map.of("pointer", "/" + name, "message", String.valueOf(error.getDefaultMessage()));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        if (NestedExceptionUtils.getMostSpecificCause(unreadable) instanceof BodyLimit.TooLarge) {
            return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE)
                    .body(ProblemWords.of(HttpStatus.CONTENT_TOO_LARGE));
        }
        ProblemDetail problem = Problems.problem(
                HttpStatus.BAD_REQUEST, "unreadable", "What was sent could not be read. Nothing was changed.");
        problem.setProperty("errors", List.of());
        return ResponseEntity.badRequest().body(problem);
    }

    @Override
    protected ResponseEntity<Object> handleServletRequestBindingException(
            ServletRequestBindingException missing, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (missing instanceof MissingRequestHeaderException header
                && header.getHeaderName().equals(HttpHeaders.IF_MATCH)) {
            ErrorResponseException required = Problems.preconditionRequired();
            return ResponseEntity.status(required.getStatusCode()).body(required.getBody());
        }
        return super.handleServletRequestBindingException(missing, headers, status, request);
    }

    /** What the framework itself refuses, said in our words. */
    @Override
    protected @Nullable ResponseEntity<Object> handleExceptionInternal(
            Exception refused, @Nullable Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        boolean isOurs = refused instanceof ErrorResponseException ours && isOurs(ours.getBody());
        return super.handleExceptionInternal(
                refused, isOurs ? body : ProblemWords.of(status), headers, status, request);
    }

    private static boolean isOurs(ProblemDetail problem) {
        return problem.getType() != null && "urn".equals(problem.getType().getScheme());
    }

    /** A text that is longer than what it is kept in, where nothing said so before. */
    @ExceptionHandler(DataIntegrityViolationException.class)
    ProblemDetail doesNotFit(DataIntegrityViolationException failure) {
        boolean isTooLong = NestedExceptionUtils.getMostSpecificCause(failure) instanceof SQLException cause
                && TOO_LONG.equals(cause.getSQLState());
        if (!isTooLong) {
            return unexpectedFailure(failure);
        }
        return Problems.problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "too-long",
                "Something that was filled in is longer than what can be kept. Shorten it; nothing was changed.");
    }

    @ExceptionHandler(Patience.Over.class)
    ProblemDetail tookTooLong() {
        return Problems.problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "took-too-long",
                "This took too long and was stopped, so that the others do not wait for it; nothing was changed. Ask for less,"
                        + " such as fewer criteria at once, or try again when less is going on.");
    }

    @ExceptionHandler(Exception.class)
    ProblemDetail unexpected(Exception failure) throws Exception {
        Optional<ProblemDetail> away = RecordsAway.of(failure);
        if (away.isPresent()) {
            LOG.warn("The database closed itself: {}", failure.getMessage());
            return away.get();
        }
        if (failure instanceof AccessDeniedException || failure instanceof AuthenticationException) {
            throw failure;
        }
        return unexpectedFailure(failure);
    }

    private static ProblemDetail unexpectedFailure(Exception failure) {
        LOG.error("A request failed", failure);
        return ProblemWords.of(HttpStatus.INTERNAL_SERVER_ERROR);
    }
}
