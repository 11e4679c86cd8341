package dipstick.server.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;

/** Says in our words what the server itself refuses, such as an address that is none. */
public final class ProblemValve extends ErrorReportValve {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemValve.class);

    @Override
    protected void report(Request request, Response response, @Nullable Throwable failure) {
        int status = response.getStatus();
        if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        try {
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.setCharacterEncoding(StandardCharsets.UTF_8);
            response.getReporter().write(ProblemWords.json(ProblemWords.of(HttpStatusCode.valueOf(status))));
            response.finishResponse();
        } catch (IOException | IllegalStateException goneMeanwhile) {
            LOG.debug("Whoever asked is gone", goneMeanwhile);
        }
    }
}
