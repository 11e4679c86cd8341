package dipstick.server.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** An answer that the browser keeps as a file. */
public final class Download {
    private Download() {}

    /** @param name of the file, in any script (RFC 6266) */
    public static <T> ResponseEntity<T> of(String type, String name, T body) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(body);
    }
}
