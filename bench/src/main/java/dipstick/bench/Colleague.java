package dipstick.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody who works with the pages of a demo, by what their browser asks. */
final class Colleague {
    /** Of those at the desk, of whom something can be noted. */
    private static final Pattern OPEN =
            Pattern.compile("\"person\":\\{\"id\":\"([^\"]+)\"[^}]*},[^{}]*\"revision\":(\\d+),\"standing\":\"ON\"");

    private static final Pattern LIST = Pattern.compile("\\{\"id\":\"([^\"]+)\",\"name\"");

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final URI address;
    private final Latencies latencies;
    private final Random chance;

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

    /** Begins the day, goes to a desk, and notes something about somebody there. */
    void round() throws IOException, InterruptedException {
        get("today", "/api/today");
        get("coming in", "/api/coming-in");
        List<String> lists = found(LIST, get("rack", "/api/lists"), 1);
        String list = lists.get(chance.nextInt(lists.size()));
        String desk = get("desk", "/api/lists/" + list + "/desk");
        List<String> people = found(OPEN, desk, 1);
        if (!people.isEmpty()) {
            int at = chance.nextInt(people.size());
            String person = people.get(at);
            get("due", "/api/who/" + person + "/prompts");
            send(
                    "note",
                    request("/api/lists/" + list + "/desk/work")
                            .header("Content-Type", "application/json")
                            .POST(BodyPublishers.ofString(
                                    note(person, found(OPEN, desk, 2).get(at)))));
        }
    }

    private static String note(String person, String revision) {
        return "{\"kind\":\"NOTE\",\"batch\":\"" + UUID.randomUUID() + "\",\"people\":[{\"person\":\"" + person
                + "\",\"revision\":" + revision
                + "}],\"outcome\":\"\",\"words\":\"likes mornings\",\"step\":\"NONE\",\"day\":\"\",\"to\":\"\","
                + "\"everywhere\":false}";
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
        if (response.statusCode() >= 400) {
            throw new IOException(what + " was answered with " + response.statusCode() + ": " + response.body());
        }
        return response.body();
    }
}
