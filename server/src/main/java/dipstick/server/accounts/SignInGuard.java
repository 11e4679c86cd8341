package dipstick.server.accounts;

import dipstick.server.web.ProblemResponse;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets a try to sign in through to the password only where it may be one, and not too soon after wrong ones. */
final class SignInGuard extends OncePerRequestFilter {
    static final String ADDRESS = "/api/sign-in";

    private final SignInThrottle throttle;

    SignInGuard(SignInThrottle throttle) {
        this.throttle = throttle;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().equals(ADDRESS);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> account = account(request);
        boolean isPassword = Optional.ofNullable(request.getParameter("password"))
                .filter(PasswordRules::isShortEnough)
                .isPresent();
        if (account.isEmpty() || !isPassword) {
            ProblemResponse.write(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "sign-in-refused",
                    "The name or the password is not right: a name has at most 60 characters, a password at most 72"
                            + " bytes. Try again.");
            return;
        }
        Duration wait = throttle.mustWait(account.get(), request.getRemoteAddr());
        if (wait.isZero()) {
            chain.doFilter(request, response);
            return;
        }
        response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(wait.toSeconds() + 1));
        ProblemResponse.write(
                response,
                HttpStatus.TOO_MANY_REQUESTS,
                "too-many-tries",
                "There were too many wrong passwords. Wait " + SignInThrottle.words(wait)
                        + ", then try again; nobody is kept out for good.");
    }

    /** The account that would be signed in, as it is kept; nothing where what was typed can be no name. */
    static Optional<String> account(HttpServletRequest request) {
        return Optional.ofNullable(request.getParameter("username"))
                .filter(name -> name.length() <= Accounts.LONGEST_NAME)
                .map(Accounts::signInName)
                .filter(name -> !name.isEmpty());
    }
}
