package dipstick.server.accounts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What each person does about their own account: its password, and where it is signed in. */
@RestController
@RequestMapping("/api/session")
class OwnAccountController {
    private final Accounts accounts;
    private final OpenSessions sessions;
    private final SignInThrottle throttle;
    private final AuditLog audit;

    OwnAccountController(Accounts accounts, OpenSessions sessions, SignInThrottle throttle, AuditLog audit) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.throttle = throttle;
        this.audit = audit;
    }

    /** @param here whether it is the one that asks */
    record SignedInAt(String id, String address, String browser, String since, String lastSeen, boolean here) {}

    record PasswordChange(
            @NotBlank @Size(max = 200) String current,
            @NotBlank @Size(max = 200) String password) {}

    @GetMapping("/sessions")
    List<SignedInAt> all(HttpServletRequest request) {
        String here = request.getSession().getId();
        return sessions.of(accounts.here().name()).stream()
                .map(open -> new SignedInAt(
                        open.handle(),
                        open.address(),
                        open.browser(),
                        open.since().toString(),
                        open.lastSeen().toString(),
                        open.session().getId().equals(here)))
                .toList();
    }

    @DeleteMapping("/sessions/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@PathVariable String id) {
        if (!sessions.end(accounts.here().name(), id)) {
            throw Problems.refused(HttpStatus.NOT_FOUND, "no-such-session", "You are not signed in there any more.");
        }
        audit.record(Act.SIGNED_OUT, "elsewhere");
    }

    /** Everywhere else the account is signed out. */
    @PostMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void password(@Valid @RequestBody PasswordChange change, HttpServletRequest request) {
        String account = accounts.here().name();
        Duration wait = throttle.mustWait(account, request.getRemoteAddr());
        if (!wait.isZero()) {
            throw Problems.refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-tries",
                    "There were too many wrong passwords. Wait " + (wait.toSeconds() + 1) + " s; nothing was changed.");
        }
        if (!accounts.isPassword(account, change.current())) {
            throttle.failed(account, request.getRemoteAddr());
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "wrong-password",
                    "The password you have now is another one. Nothing was changed.");
        }
        accounts.changePassword(account, change.password(), request.getSession().getId());
    }
}
