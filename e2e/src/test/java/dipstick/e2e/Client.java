package dipstick.e2e;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody signed in without a browser. */
final class Client {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String address;

    private Client(String address) {
        this.address = address;
    }

    static Client signedIn(String address, String name, String password) throws IOException, InterruptedException {
        Client client = new Client(address);
        client.get("/api/session");
        client.send(
                "/api/sign-in",
                request -> request.header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString("username=" + name + "&password=" + password)));
        client.get("/api/session");
        return client;
    }

    JsonNode get(String path) throws IOException, InterruptedException {
        return JSON.readTree(send(path, HttpRequest.Builder::GET).body());
    }

    HttpResponse<String> post(String path, String json) throws IOException, InterruptedException {
        return send(
                path,
                request -> request.header("Content-Type", "application/json").POST(BodyPublishers.ofString(json)));
    }

    private HttpResponse<String> send(String path, UnaryOperator<HttpRequest.Builder> how)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return http.send(how.apply(request).build(), BodyHandlers.ofString());
    }
}
