package dipstick.server.accounts;

import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Asks whoever is signed in for their password once more, before what a stranger at an open browser must not do; guessing
 * it is slowed as signing in is.
 */
@Component
public class OwnPassword {
    private final Accounts accounts;
    private final SignInThrottle throttle;

    OwnPassword(Accounts accounts, SignInThrottle throttle) {
        this.accounts = accounts;
        this.throttle = throttle;
    }

    /** Refused where it is another one, or after too many wrong ones. */
    public void require(String given, HttpServletRequest request) {
        String account = accounts.here().name();
        Duration wait = throttle.mustWait(account, request.getRemoteAddr());
        if (!wait.isZero()) {
            throw Problems.refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-many-tries",
                    "There were too many wrong passwords. Wait " + SignInThrottle.words(wait)
                            + ", then try again; nothing was changed.");
        }
        if (!accounts.isPassword(account, given)) {
            throttle.failed(account, request.getRemoteAddr());
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "wrong-password",
                    "The password you have now is another one. Nothing was changed.");
        }
    }
}
