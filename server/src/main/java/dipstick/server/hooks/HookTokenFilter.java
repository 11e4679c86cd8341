package dipstick.server.hooks;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.ProblemResponse;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets a record system in that signed its request, for that one. */
final class HookTokenFilter extends OncePerRequestFilter {
    private static final String BEARER = "Bearer ";
    private static final int LONGEST = 10_000;
    private static final Duration AGAIN = Duration.ofMinutes(10);

    private final SignedRequests signed;
    private final AuditLog audit;
    private final String address;

    /** @param address under which the record system reaches this server, whatever is between them */
    HookTokenFilter(SignedRequests signed, AuditLog audit, String address) {
        this.signed = signed;
        this.audit = audit;
        this.address = address;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String token = Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
                .filter(value -> value.regionMatches(true, 0, BEARER, 0, BEARER.length()) && value.length() <= LONGEST)
                .map(value -> value.substring(BEARER.length()).strip())
                .orElse("");
        try {
            RecordSystem system = signed.signer(
                    token, List.of(request.getRequestURL().toString(), address + request.getRequestURI()));
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(
                    UsernamePasswordAuthenticationToken.authenticated(system.account(), system, List.of()));
            SecurityContextHolder.setContext(context);
            chain.doFilter(request, response);
        } catch (SignedRequests.NotTrusted not) {
            audit.recordOnce("nobody", Act.REFUSED, "a record system's request, since " + not.why(), AGAIN);
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer error=\"invalid_token\"");
            ProblemResponse.write(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "request-not-trusted",
                    "The request shows no token that is trusted here: " + not.why() + ".");
        }
    }
}
