package dipstick.server.web;

import dipstick.core.evaluate.Patience;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpMethod;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Stops what is only looked at and takes too long, or is given up, so that nobody holds up all the others; what changes
 * something is done to its end.
 */
@Component
class LongestAnswer extends OncePerRequestFilter {
    private final OpenQuestions questions;
    private final Duration longest;

    LongestAnswer(OpenQuestions questions, @Value("${dipstick.longest-answer}") Duration longest) {
        this.questions = questions;
        this.longest = longest;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String address = request.getRequestURI();
        boolean isOnlyLookedAt = request.getMethod().equals(HttpMethod.GET.name()) || address.startsWith("/api/bench");
        return !isOnlyLookedAt || !address.startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long until = System.nanoTime() + longest.toNanos();
        AtomicBoolean givenUp = questions.began(request);
        try {
            Patience.within(() -> givenUp.get() || System.nanoTime() - until > 0, () -> {
                chain.doFilter(request, response);
                return true;
            });
        } catch (ServletException | IOException | RuntimeException failure) {
            throw failure;
        } catch (Exception impossible) {
            throw new ServletException(impossible);
        } finally {
            questions.ended(request);
        }
    }
}
