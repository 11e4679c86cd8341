package dipstick.bench;

import dipstick.bench.Seen.Noted;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Somebody who works with the pages of a demo, by what their browser asks. */
final class Colleague implements AutoCloseable {
    /** Of those at the desk, of whom something can be noted. */
    private static final Pattern OPEN =
            Pattern.compile("\"person\":\\{\"id\":\"([^\"]+)\"[^}]*},[^{}]*\"revision\":(\\d+),\"standing\":\"ON\"");

    private static final Pattern LIST = Pattern.compile("\\{\"id\":\"([^\"]+)\",\"name\"");
    private static final Pattern TOKEN = Pattern.compile("\"token\":\"([^\"]+)\"");
    private static final int REFUSED = 400;

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .build();
    private final URI address;
    private final Latencies latencies;
    private final Random chance;
    private String token = "";
    private volatile boolean gone;

    Colleague(URI address, Latencies latencies, long seed) {
        this.address = address;
        this.latencies = latencies;
        this.chance = new Random(seed);
    }

    void signIn(String name, String password) throws IOException, InterruptedException {
        get("session", "/api/session");
        send(
                "sign-in",
                request("/api/sign-in")
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString("username=" + name + "&password=" + password)));
        get("session", "/api/session");
    }

    /** Begins the day, and goes to the desk of some list. */
    String sitDown() throws IOException, InterruptedException {
        today();
        get("coming in", "/api/coming-in");
        List<String> lists = found(LIST, rack(), 1);
        return lists.get(chance.nextInt(lists.size()));
    }

    void today() throws IOException, InterruptedException {
        get("today", "/api/today");
    }

    String rack() throws IOException, InterruptedException {
        return get("rack", "/api/lists");
    }

    String desk(String list) throws IOException, InterruptedException {
        return get("desk", "/api/lists/" + list + "/desk?queue=OPEN");
    }

    /** Opens somebody of a desk and notes something about them, which others are to hear of. */
    void note(String list, String desk, Seen seen) throws IOException, InterruptedException {
        List<String> people = found(OPEN, desk, 1);
        if (people.isEmpty()) {
            return;
        }
        int at = chance.nextInt(people.size());
        String person = people.get(at);
        get("due", "/api/who/" + person + "/prompts");
        Noted noted = seen.noting(list, person);
        json(
                "note",
                "/api/lists/" + list + "/desk/work",
                note(person, found(OPEN, desk, 2).get(at)));
        noted.done();
    }

    private static String note(String person, String revision) {
        return "{\"kind\":\"NOTE\",\"batch\":\"" + UUID.randomUUID() + "\",\"people\":[{\"person\":\"" + person
                + "\",\"revision\":" + revision
                + "}],\"outcome\":\"\",\"words\":\"likes mornings\",\"step\":\"NONE\",\"day\":\"\",\"to\":\"\","
                + "\"everywhere\":false}";
    }

    /** Brings a file of records in and takes it, as somebody does at the Records page. */
    void bringIn(String name, String rows) throws IOException, InterruptedException {
        String id = id(post("file in", "/api/deliveries?name=" + name, rows));
        String standing = get("file", "/api/deliveries/" + id);
        while (!standing.contains("\"stage\":\"TRIED\"")) {
            if (standing.contains("\"stage\":\"FAILED\"")) {
                throw new IOException("The file was not understood: " + standing);
            }
            Thread.sleep(200);
            standing = get("file", "/api/deliveries/" + id);
        }
        post("file taken", "/api/deliveries/" + id + "/take", "");
        while (!standing.contains("\"stage\":\"TAKEN\"")) {
            Thread.sleep(200);
            standing = get("file", "/api/deliveries/" + id);
        }
    }

    private static String id(String answer) throws IOException {
        return found(Pattern.compile("\"id\":\"([^\"]+)\""), answer, 1).stream()
                .findFirst()
                .orElseThrow(() -> new IOException("No id in " + answer));
    }

    private String json(String what, String path, String body) throws IOException, InterruptedException {
        return send(
                what, request(path).header("Content-Type", "application/json").POST(BodyPublishers.ofString(body)));
    }

    private String post(String what, String path, String body) throws IOException, InterruptedException {
        return send(
                what,
                request(path).header("Content-Type", "application/octet-stream").POST(BodyPublishers.ofString(body)));
    }

    /** What the server's own figures say, as Prometheus reads them, with a token that lasts a day. */
    String figures(String password) throws IOException, InterruptedException {
        if (token.isEmpty()) {
            String wanted =
                    "{\"label\":\"load\",\"scopes\":[\"HEALTH_READ\"],\"days\":1,\"current\":\"" + password + "\"}";
            token = found(TOKEN, json("token", "/api/session/tokens", wanted), 1)
                    .getFirst();
        }
        return send("figures", request("/actuator/prometheus").header("Authorization", "Bearer " + token));
    }

    /** The lines of the stream that tells what others do, until it is closed. */
    Stream<String> told() throws IOException, InterruptedException {
        HttpResponse<Stream<String>> stream =
                client.send(request("/api/together").build(), BodyHandlers.ofLines());
        if (stream.statusCode() >= REFUSED) {
            throw new IOException("The stream was answered with " + stream.statusCode());
        }
        return stream.body();
    }

    private static List<String> found(Pattern pattern, String text, int group) {
        List<String> all = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            all.add(matcher.group(group));
        }
        return all;
    }

    private String get(String what, String path) throws IOException, InterruptedException {
        return send(what, request(path).GET());
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(address.resolve(path));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return request;
    }

    private String send(String what, HttpRequest.Builder request) throws IOException, InterruptedException {
        long from = System.nanoTime();
        var response = client.send(request.build(), BodyHandlers.ofString());
        latencies.add(what, System.nanoTime() - from);
        if (response.statusCode() >= REFUSED) {
            throw new IOException(what + " was answered with " + response.statusCode() + ": " + response.body());
        }
        return response.body();
    }

    boolean isGone() {
        return gone;
    }

    @Override
    public void close() {
        gone = true;
        client.shutdownNow();
    }
}
