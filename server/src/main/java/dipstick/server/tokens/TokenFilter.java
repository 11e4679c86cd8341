package dipstick.server.tokens;

import dipstick.server.audit.AuditLog;
import dipstick.server.web.ProblemResponse;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets a program in that shows a token (RFC 6750, section 2.1), for one request. */
final class TokenFilter extends OncePerRequestFilter {
    private static final String BEARER = "Bearer ";
    private static final int LONGEST = 200;

    private final Tokens tokens;

    TokenFilter(Tokens tokens) {
        this.tokens = tokens;
    }

    static boolean showsToken(HttpServletRequest request) {
        return shown(request).isPresent();
    }

    private static Optional<String> shown(HttpServletRequest request) {
        return Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
                .filter(value -> value.regionMatches(true, 0, BEARER, 0, BEARER.length()))
                .map(value -> value.substring(BEARER.length()).strip());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<Tokens.Granted> granted = shown(request)
                .filter(token -> token.length() <= LONGEST)
                .flatMap(token -> tokens.use(token, request.getRemoteAddr()));
        if (granted.isEmpty()) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer error=\"invalid_token\"");
            ProblemResponse.write(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "token-refused",
                    "This token is not known, has expired, or was withdrawn. Whoever it belongs to makes a new one beside"
                            + " their name.");
            return;
        }
        request.setAttribute(AuditLog.BY_TOKEN, granted.get().id());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(authentication(granted.get()));
        SecurityContextHolder.setContext(context);
        chain.doFilter(request, response);
    }

    private static UsernamePasswordAuthenticationToken authentication(Tokens.Granted granted) {
        List<GrantedAuthority> may = granted.scopes().stream()
                // A role that the account has no more takes with it what it was for.
                .filter(scope -> scope.isFor(granted.account()))
                .<GrantedAuthority>map(scope -> new SimpleGrantedAuthority(scope.authority()))
                .toList();
        return UsernamePasswordAuthenticationToken.authenticated(
                granted.account().name(), "", may);
    }
}
