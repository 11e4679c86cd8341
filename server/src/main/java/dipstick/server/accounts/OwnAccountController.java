package dipstick.server.accounts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
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
    private final OwnPassword own;
    private final AuditLog audit;

    OwnAccountController(Accounts accounts, OpenSessions sessions, OwnPassword own, AuditLog audit) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.own = own;
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
        own.require(change.current(), request);
        accounts.changePassword(
                accounts.here().name(), change.password(), request.getSession().getId());
    }
}
