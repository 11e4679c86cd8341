package dipstick.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** An answer that the browser keeps as a file. */
public final class Download {
    private Download() {}

    /**
     * Where one that is too long to be held is written to. It is written by the thread that answers: another one would write
     * the headers at the same time as this one does.
     */
    public static OutputStream into(HttpServletResponse response, String type, String name) throws IOException {
        response.setContentType(type);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, named(name));
        return response.getOutputStream();
    }

    /** @param name of the file, in any script (RFC 6266) */
    public static <T> ResponseEntity<T> of(String type, String name, T body) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(HttpHeaders.CONTENT_DISPOSITION, named(name))
                .body(body);
    }

    private static String named(String name) {
        return ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString();
    }
}
