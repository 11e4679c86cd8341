package dipstick.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;

/** What a browser fetches before anything is seen. */
final class FirstPage {
    private static final Pattern FILE = Pattern.compile("(?:src|href)=\"(/assets/[^\"]+\\.(?:js|css))\"");
    private static final String AS_BROWSERS_ASK = "gzip, deflate, br, zstd";
    private static final int LEAST_COMPRESSED = 1000;

    private final HttpClient http = HttpClient.newHttpClient();
    private final String application;

    /** @param application its address */
    FirstPage(String application) {
        this.application = application;
    }

    /** How many bytes the files of the page have, compressed; refused where one is not kept so in both ways. */
    int bytes() throws Exception {
        String page = new String(get(application + "/", "identity").body(), StandardCharsets.UTF_8);
        List<String> files =
                FILE.matcher(page).results().map(found -> found.group(1)).toList();
        assertThat(files).hasSizeGreaterThan(2);
        int bytes = 0;
        for (String file : files) {
            HttpResponse<byte[]> plain = get(application + file, "identity");
            HttpResponse<byte[]> gzip = get(application + file, "gzip");
            if (plain.body().length > LEAST_COMPRESSED) {
                assertThat(gzip.headers().allValues("Content-Encoding"))
                        .as(file)
                        .containsExactly("gzip");
                assertThat(get(application + file, AS_BROWSERS_ASK).headers().allValues("Content-Encoding"))
                        .as(file)
                        .containsExactly("br");
                assertThat(new GZIPInputStream(new ByteArrayInputStream(gzip.body())).readAllBytes())
                        .as("compressed when it was finished")
                        .isEqualTo(plain.body());
            }
            bytes += gzip.body().length;
        }
        return bytes;
    }

    private HttpResponse<byte[]> get(String address, String encodings) throws Exception {
        return http.send(
                HttpRequest.newBuilder(URI.create(address))
                        .header("Accept-Encoding", encodings)
                        .build(),
                BodyHandlers.ofByteArray());
    }
}
