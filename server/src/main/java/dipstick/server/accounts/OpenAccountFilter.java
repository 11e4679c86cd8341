package dipstick.server.accounts;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Signs somebody out whose account was closed, whose rights were changed since they signed in, or whose time is over. */
final class OpenAccountFilter extends OncePerRequestFilter {
    private final Accounts accounts;
    private final OpenSessions sessions;

    OpenAccountFilter(Accounts accounts, OpenSessions sessions) {
        this.accounts = accounts;
        this.sessions = sessions;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication())
                .filter(who -> !isStill(who) || isOver(request))
                .ifPresent(_ -> {
                    SecurityContextHolder.clearContext();
                    Optional.ofNullable(request.getSession(false)).ifPresent(HttpSession::invalidate);
                });
        chain.doFilter(request, response);
    }

    private boolean isOver(HttpServletRequest request) {
        return Optional.ofNullable(request.getSession(false))
                .filter(sessions::isOver)
                .isPresent();
    }

    private boolean isStill(Authentication who) {
        Set<String> granted = who.getAuthorities().stream()
                .map(GrantedAuthority::getAuthority)
                .collect(Collectors.toSet());
        return accounts.find(who.getName())
                .filter(account -> !account.closed())
                .filter(account ->
                        granted.containsAll(Arrays.stream(account.roles().split(","))
                                        .map("ROLE_"::concat)
                                        .toList())
                                && granted.stream()
                                                .filter(one -> one.startsWith("ROLE_"))
                                                .count()
                                        == account.roles().split(",").length)
                .isPresent();
    }
}
