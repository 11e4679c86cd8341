package dipstick.server.accounts;

import dipstick.server.web.ProblemResponse;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets whoever is asked for a second factor, and has none yet, do nothing before they have set one up. */
final class SecondFactorFilter extends OncePerRequestFilter {
    private final SecondFactorDemand demand;

    SecondFactorFilter(SecondFactorDemand demand) {
        this.demand = demand;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String address = request.getRequestURI();
        return request.getUserPrincipal() == null
                || !address.startsWith("/api/")
                || address.equals("/api/session")
                || address.startsWith("/api/session/second-factor");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (demand.isUnmetBy(request.getUserPrincipal().getName())) {
            ProblemResponse.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    "second-factor-demanded",
                    "Your practice asks for a second factor in your role. Set it up first; nothing was changed.");
        } else {
            chain.doFilter(request, response);
        }
    }
}
