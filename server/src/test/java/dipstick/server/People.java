package dipstick.server;

import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Signed-in people of each role. */
public final class People {
    private static final AtomicInteger NUMBER = new AtomicInteger();

    private People() {}

    public static Visitor coordinator() throws Exception {
        return signedIn(Role.COORDINATOR);
    }

    public static Visitor caller() throws Exception {
        return signedIn(Role.CALLER);
    }

    /** Brings a plain file in; gives it once it is taken. */
    public static JsonNode bringIn(Visitor coordinator, String file) throws Exception {
        return take(coordinator, tried(coordinator, file));
    }

    /** Brings in a file that names everybody, so that whoever is not in it goes off file. */
    public static JsonNode bringInEverybody(Visitor coordinator, String file) throws Exception {
        return take(coordinator, namingEverybody(coordinator, tried(coordinator, file)));
    }

    /** Sends a plain file; gives it once it is tried, or cannot be. */
    public static JsonNode tried(Visitor coordinator, String file) throws Exception {
        return settled(
                coordinator,
                coordinator.upload(file.getBytes(StandardCharsets.UTF_8)).json());
    }

    /** A file that is tried, tried anew as one that names everybody. */
    public static JsonNode namingEverybody(Visitor coordinator, JsonNode tried) throws Exception {
        ObjectNode intake = (ObjectNode) tried.get("intake");
        ((ObjectNode) intake.get("people")).put("meaning", "names-everybody");
        return settled(
                coordinator,
                coordinator
                        .put(address(tried) + "/intake", intake.toString(), "")
                        .json());
    }

    public static JsonNode take(Visitor coordinator, JsonNode tried) throws Exception {
        Reply taking = coordinator.post(address(tried) + "/take", "");
        if (taking.status() != 200) {
            throw new AssertionError(taking.text() + " of " + tried);
        }
        return settled(coordinator, taking.json());
    }

    public static String address(JsonNode delivery) {
        return "/api/deliveries/" + delivery.get("id").asString();
    }

    /** What a delivery is once nothing is being done with it any more. */
    public static JsonNode settled(Visitor coordinator, JsonNode delivery) throws Exception {
        JsonNode now = delivery;
        while (now.get("stage").asString().endsWith("ING")) {
            Thread.sleep(10);
            now = coordinator.get(address(delivery)).json();
        }
        return now;
    }

    /** What a delivery that was taken did. */
    public static String counts(JsonNode delivery) {
        JsonNode taken = delivery.get("taken");
        return sum(taken, "added") + " new, " + sum(taken, "changed") + " changed, " + sum(taken, "unchanged")
                + " unchanged";
    }

    private static int sum(JsonNode taken, String count) {
        return taken.at("/people/" + count).asInt()
                + taken.at("/events/" + count).asInt();
    }

    /** Publishes a new set and shares it with everybody, each to do what their role allows. */
    public static void publish(Visitor coordinator, String id, String document) throws Exception {
        publishPrivately(coordinator, id, document);
        share(coordinator, id, "CHANGE", "");
    }

    /** @param shares the JSON of shares, separated by commas */
    public static void share(Visitor coordinator, String id, String everybody, String shares) throws Exception {
        var shared = coordinator.get("/api/sharing/" + id).json();
        coordinator.put(
                "/api/sharing/" + id,
                "{\"owner\": \"" + shared.get("owner").asString() + "\", \"everybody\": \"" + everybody
                        + "\", \"shares\": [" + shares + "]}",
                "\"" + shared.get("revision").asInt() + "\"");
    }

    /** Publishes a new set, which only who makes it sees. */
    public static void publishPrivately(Visitor coordinator, String id, String document) throws Exception {
        coordinator.put("/api/criteria/" + id, document, "");
        coordinator.post("/api/criteria/" + id + "/publish", "{\"note\": \"\"}", "\"1\"");
    }

    public static Visitor signedIn(Role role) throws Exception {
        return signedIn("person" + NUMBER.incrementAndGet(), role);
    }

    /** @param name to be given things by */
    public static Visitor signedIn(String name, Role role) throws Exception {
        return RunningServer.shared().signedIn(name, role);
    }
}
