package dipstick.server;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Role;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The real application over a database of its own, on a free port; started once for all tests that ask for it. */
public final class RunningServer {
    private static final JsonMapper JSON = JsonMapper.shared();

    private static final String SIGN_IN_SERVICE =
            "org.springframework.boot.security.oauth2.server.authorization.autoconfigure.servlet.";

    private static RunningServer shared;

    private final ConfigurableApplicationContext context;
    private final String address;
    private final Faults faults = new Faults();

    private RunningServer(Path data, Clock clock, String... settings) {
        if (Stream.of(settings).noneMatch(setting -> setting.startsWith("--dipstick.database."))) {
            NewDatabase.putInto(data);
        }
        List<String> all = new ArrayList<>(List.of("--dipstick.data=" + data, "--dipstick.zone=Europe/Lisbon"));
        all.addAll(List.of(settings));
        if (all.stream().noneMatch(setting -> setting.startsWith("--server.port="))) {
            all.add("--server.port=0");
        }
        // What a test itself signs people in at elsewhere is here for that test alone.
        all.add("--spring.autoconfigure.exclude=" + SIGN_IN_SERVICE + "OAuth2AuthorizationServerAutoConfiguration,"
                + SIGN_IN_SERVICE + "OAuth2AuthorizationServerJwtAutoConfiguration");
        if (all.stream().noneMatch(setting -> setting.startsWith("--dipstick.session."))) {
            // Weeks go by at once in a test.
            all.add("--dipstick.session.longest=9999d");
        }
        // Hundreds sign in, and nobody guesses.
        all.add("--dipstick.passwords.strength=4");
        // Closed by the client alone: whoever asks just as the server closes what was idle is told nothing.
        all.add("--server.tomcat.keep-alive-timeout=10m");
        if (all.stream().noneMatch(setting -> setting.startsWith("--dipstick.longest-answer="))) {
            // However slow the machine is that tests run on, what is asked of it is answered.
            all.add("--dipstick.longest-answer=10m");
        }
        this.context = new SpringApplicationBuilder(DipstickApplication.class)
                .initializers(context -> {
                    GenericApplicationContext beans = (GenericApplicationContext) context;
                    beans.registerBean("clockOfTest", Clock.class, () -> clock, bean -> bean.setPrimary(true));
                    beans.registerBean("faultsOfTest", Faults.class, () -> faults);
                })
                .run(all.toArray(String[]::new));
        this.address = "http://localhost:" + context.getEnvironment().getProperty("local.server.port");
    }

    public static synchronized RunningServer shared() throws IOException {
        if (shared == null) {
            shared = new RunningServer(
                    Files.createTempDirectory(Path.of("target").toAbsolutePath(), "server"), Clock.systemUTC());
        }
        return shared;
    }

    /** Another one, over a data folder of its own, at a time of its own. */
    public static RunningServer over(Path data, Clock clock, String... settings) {
        return new RunningServer(data, clock, settings);
    }

    /** What goes wrong at this server. */
    public Faults faults() {
        return faults;
    }

    public URI address() {
        return URI.create(address);
    }

    public void stop() {
        context.close();
    }

    /** Somebody new with a role, signed in. */
    public Visitor signedIn(String name, Role role) throws Exception {
        bean(Accounts.class).create(name, "Person " + name, role, "a long password");
        return visitor().signIn(name, "a%20long%20password");
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    /** Somebody at a browser of their own, not signed in. */
    public Visitor visitor() {
        return new Visitor("");
    }

    /** A program that shows a token. */
    public Visitor program(String token) {
        return new Visitor(token);
    }

    /** What came back: the status, and the JSON where there is any. */
    public record Reply(int status, String text) {
        public JsonNode json() {
            return JSON.readTree(text);
        }

        public String type() {
            return json().path("type").asString("");
        }
    }

    /** Keeps cookies and sends the token that changes need. */
    public final class Visitor {
        private final CookieManager cookies = new CookieManager();
        private final String token;
        private final HttpClient client =
                HttpClient.newBuilder().cookieHandler(cookies).build();

        private Visitor(String token) {
            this.token = token;
        }

        public Visitor signIn(String name, String password) throws Exception {
            get("/api/session");
            Reply reply = send(request("/api/sign-in")
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(BodyPublishers.ofString("username=" + name + "&password=" + password)));
            if (reply.status() != 204) {
                throw new AssertionError("Signing in failed: " + reply);
            }
            get("/api/session");
            return this;
        }

        /** Tries to sign in with what is typed, from an address as a proxy that is trusted names it. */
        public Reply triesToSignIn(String name, String password, String from) throws Exception {
            return triesToSignIn(name, password, "", from);
        }

        /** @param code of a second factor; empty for none */
        public Reply triesToSignIn(String name, String password, String code, String from) throws Exception {
            get("/api/session");
            return send(request("/api/sign-in")
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .header("X-Forwarded-For", from)
                    .POST(BodyPublishers.ofString("username=" + URLEncoder.encode(name, StandardCharsets.UTF_8)
                            + "&password=" + URLEncoder.encode(password, StandardCharsets.UTF_8)
                            + (code.isEmpty() ? "" : "&code=" + URLEncoder.encode(code, StandardCharsets.UTF_8)))));
        }

        /** What is at a path, byte by byte. */
        public byte[] bytes(String path, String body) throws Exception {
            HttpRequest.Builder request = request(path).header("Content-Type", "application/json");
            return client.send(request.POST(BodyPublishers.ofString(body)).build(), BodyHandlers.ofByteArray())
                    .body();
        }

        public byte[] bytes(String path) throws Exception {
            return client.send(request(path).GET().build(), BodyHandlers.ofByteArray())
                    .body();
        }

        public Reply get(String path) throws Exception {
            return send(request(path).GET());
        }

        public Reply post(String path, byte[] body) throws Exception {
            return send(request(path)
                    .header("Content-Type", "application/octet-stream")
                    .POST(BodyPublishers.ofByteArray(body)));
        }

        public Reply post(String path, String body) throws Exception {
            return send(request(path).header("Content-Type", "application/json").POST(BodyPublishers.ofString(body)));
        }

        /** @param question a name by which it can be given up */
        public Reply ask(String path, String body, String question) throws Exception {
            return send(request(path)
                    .header("Content-Type", "application/json")
                    .header("Question", question)
                    .POST(BodyPublishers.ofString(body)));
        }

        public Reply post(String path, String body, String ifMatch) throws Exception {
            return send(ifMatch(request(path), ifMatch)
                    .header("Content-Type", "application/json")
                    .POST(BodyPublishers.ofString(body)));
        }

        public Reply put(String path, String body, String ifMatch) throws Exception {
            return send(ifMatch(request(path), ifMatch)
                    .header("Content-Type", "application/json")
                    .PUT(BodyPublishers.ofString(body)));
        }

        /** Of something that must not be there yet. */
        public Reply putNew(String path, String body) throws Exception {
            return send(request(path)
                    .header("Content-Type", "application/json")
                    .header("If-None-Match", "*")
                    .PUT(BodyPublishers.ofString(body)));
        }

        /** @param ifMatch empty for a request without it */
        private static HttpRequest.Builder ifMatch(HttpRequest.Builder request, String ifMatch) {
            return ifMatch.isEmpty() ? request : request.header("If-Match", ifMatch);
        }

        public Reply delete(String path) throws Exception {
            return send(request(path).DELETE());
        }

        /** Where it ends up from an address, ours or another's, as a browser goes; and what is there. */
        public HttpResponse<String> follow(URI from) throws Exception {
            return following(client.send(page(from).build(), BodyHandlers.ofString()));
        }

        /** As {@link #follow}, from a form that is filled in there. */
        public HttpResponse<String> submit(URI to, String form) throws Exception {
            return following(client.send(
                    page(to).header("Content-Type", "application/x-www-form-urlencoded")
                            .POST(BodyPublishers.ofString(form))
                            .build(),
                    BodyHandlers.ofString()));
        }

        private static HttpRequest.Builder page(URI at) {
            return HttpRequest.newBuilder(at).header("Accept", "text/html");
        }

        private HttpResponse<String> following(HttpResponse<String> response) throws Exception {
            HttpResponse<String> here = response;
            while (here.statusCode() / 100 == 3) {
                URI next =
                        here.uri().resolve(here.headers().firstValue("Location").orElseThrow());
                here = client.send(page(next).build(), BodyHandlers.ofString());
            }
            return here;
        }

        /** The lines of a stream that goes on. */
        public Stream<String> stream(String path) throws Exception {
            return client.send(request(path).GET().build(), BodyHandlers.ofLines())
                    .body();
        }

        /** As one whose length is not said before. */
        public Reply sendWithoutLength(String path, String body) throws Exception {
            byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
            return send(request(path)
                    .header("Content-Type", "application/json")
                    .POST(BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(bytes))));
        }

        /** The first of each, by its name in lower case. */
        public Map<String, String> headers(String path) throws Exception {
            return client
                    .send(request(path).GET().build(), BodyHandlers.discarding())
                    .headers()
                    .map()
                    .entrySet()
                    .stream()
                    .collect(Collectors.toMap(
                            Map.Entry::getKey, header -> header.getValue().getFirst()));
        }

        /** @param method in any case, and {@code body} or {@code ifMatch} empty for none */
        public Reply send(String method, String path, String body, String ifMatch) throws Exception {
            HttpRequest.Builder request = request(path).header("Content-Type", "application/json");
            if (!ifMatch.isEmpty()) {
                request.header("If-Match", ifMatch);
            }
            return send(request.method(method.toUpperCase(Locale.ROOT), BodyPublishers.ofString(body)));
        }

        public Reply delete(String path, String ifMatch) throws Exception {
            return send(ifMatch(request(path), ifMatch).DELETE());
        }

        public Reply upload(byte[] file) throws Exception {
            return post("/api/deliveries?name=test.csv", file);
        }

        /** A change without the token, as another site would try it. */
        public Reply postWithoutToken(String path) throws Exception {
            return send(HttpRequest.newBuilder(URI.create(address + path)).POST(BodyPublishers.noBody()));
        }

        private HttpRequest.Builder request(String path) {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path));
            if (!token.isEmpty()) {
                return request.header("Authorization", "Bearer " + token);
            }
            cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
            return request;
        }

        private Reply send(HttpRequest.Builder request) throws Exception {
            HttpResponse<String> response = client.send(request.build(), BodyHandlers.ofString());
            return new Reply(response.statusCode(), response.body());
        }
    }
}
