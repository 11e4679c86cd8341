package dipstick.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Takes no body that is larger than anything that a page sends, whatever it says of its length (docs/operations.md). */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyLimit extends OncePerRequestFilter {
    static final int LARGEST = 4_000_000;

    /** A file of records is as large as it is, and goes to the disk as it comes. */
    private static final Set<String> FILES = Set.of("/api/deliveries", "/api/comparisons/files");

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return FILES.contains(request.getRequestURI());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > LARGEST) {
            ProblemResponse.write(response, HttpStatus.CONTENT_TOO_LARGE);
        } else {
            chain.doFilter(new Limited(request), response);
        }
    }

    /** More came than was to be read. */
    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;
    }

    private static final class Limited extends HttpServletRequestWrapper {
        Limited(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new LimitedStream(super.getInputStream());
        }
    }

    private static final class LimitedStream extends ServletInputStream {
        private final ServletInputStream of;
        private int read;

        LimitedStream(ServletInputStream of) {
            this.of = of;
        }

        @Override
        public int read() throws IOException {
            int next = of.read();
            count(next < 0 ? 0 : 1);
            return next;
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
            int taken = of.read(into, from, most);
            count(Math.max(0, taken));
            return taken;
        }

        private void count(int more) throws TooLarge {
            read += more;
            if (read > LARGEST) {
                throw new TooLarge();
            }
        }

        @Override
        public boolean isFinished() {
            return of.isFinished();
        }

        @Override
        public boolean isReady() {
            return of.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            of.setReadListener(listener);
        }
    }
}
