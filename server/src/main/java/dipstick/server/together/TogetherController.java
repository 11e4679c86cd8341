package dipstick.server.together;

import dipstick.server.accounts.Accounts;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

@RestController
class TogetherController {
    private final Listeners listeners;
    private final Accounts accounts;

    TogetherController(Listeners listeners, Accounts accounts) {
        this.listeners = listeners;
        this.accounts = accounts;
    }

    /**
     * Tells what is done on which lists as it happens: events named {@code lists}, numbered, each with a {@link TouchedList}
     * for each of them. At first {@code hello} says the number of the last one; {@code records} says that the records shown
     * are behind, or are not any more.
     */
    @GetMapping(value = "/api/together", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter together(HttpServletRequest request) {
        return listeners.open(accounts.here(), request.getSession().getId());
    }
}
