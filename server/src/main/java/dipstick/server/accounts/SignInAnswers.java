package dipstick.server.accounts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.ProblemResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.stereotype.Component;

/** What follows a try to sign in: the session begins, or a sentence says why not; both are written down. */
@Component
class SignInAnswers implements AuthenticationSuccessHandler, AuthenticationFailureHandler {
    /** What is refused again within it is written down once. */
    static final Duration REFUSED_AGAIN = Duration.ofMinutes(10);

    private final Accounts accounts;
    private final OpenSessions sessions;
    private final SignInThrottle throttle;
    private final AuditLog audit;

    SignInAnswers(Accounts accounts, OpenSessions sessions, SignInThrottle throttle, AuditLog audit) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.throttle = throttle;
        this.audit = audit;
    }

    @Override
    public void onAuthenticationSuccess(HttpServletRequest request, HttpServletResponse response, Authentication who) {
        throttle.succeeded(who.getName(), request.getRemoteAddr());
        sessions.began(request, who.getName());
        audit.record(who.getName(), Act.SIGNED_IN, who.getName());
        response.setStatus(HttpStatus.NO_CONTENT.value());
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException failure)
            throws IOException {
        if (failure instanceof CodeWanted code) {
            // The password was right: that there is no code yet is no failed try.
            if (code.why() != CodeWanted.Why.NONE_GIVEN) {
                writeDown(SignInGuard.account(request));
            }
            ProblemResponse.write(response, HttpStatus.UNAUTHORIZED, code.why().type(), code.getMessage());
            return;
        }
        writeDown(SignInGuard.account(request));
        if (!request.getRequestURI().equals(SignInGuard.ADDRESS)) {
            ProblemResponse.write(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "passkey-refused",
                    "The passkey is not known here, or it took too long. Try again, or sign in with your password.");
            return;
        }
        SignInGuard.account(request).ifPresent(account -> throttle.failed(account, request.getRemoteAddr()));
        ProblemResponse.write(
                response,
                HttpStatus.UNAUTHORIZED,
                "sign-in-refused",
                "The name or the password is not right. Try again.");
    }

    /**
     * The log holds no more of what strangers try than it has accounts, and no name that is none: it may be a password in
     * the wrong place.
     */
    private void writeDown(Optional<String> tried) {
        String account = tried.flatMap(accounts::find).map(Account::name).orElse("a name that no account has");
        audit.recordOnce("nobody", Act.SIGN_IN_REFUSED, account, REFUSED_AGAIN);
    }
}
