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
    private static final Duration JUST_NOW = Duration.ofMinutes(10);

    private final Accounts accounts;
    private final SignInThrottle throttle;
    private final Doors doors;
    private final OpenSessions sessions;

    OwnPassword(Accounts accounts, SignInThrottle throttle, Doors doors, OpenSessions sessions) {
        this.accounts = accounts;
        this.throttle = throttle;
        this.doors = doors;
        this.sessions = sessions;
    }

    /** As {@link #require}; of whoever signs in elsewhere it is asked that they did so just now. */
    public void requireOrJustSignedIn(String given, HttpServletRequest request) {
        if (!doors.isVouchedFor(accounts.here().name())) {
            require(given, request);
        } else if (!sessions.beganWithin(request.getSession(), JUST_NOW)) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "sign-in-again",
                    "For this you have to have signed in within the last ten minutes. Sign out, sign in again and come"
                            + " back; nothing was changed.");
        }
    }

    /** Refused where it is another one, or after too many wrong ones. */
    public void require(String given, HttpServletRequest request) {
        String account = accounts.here().name();
        if (doors.isVouchedFor(account)) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "signs-in-elsewhere",
                    "You sign in with the practice's own sign-in service, which keeps your password and second factor."
                            + " Change them there; nothing was changed here.");
        }
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
