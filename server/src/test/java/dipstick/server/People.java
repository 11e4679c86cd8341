package dipstick.server;

import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;

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

    /** Brings a file in and waits until it is taken. */
    public static JsonNode bringIn(Visitor coordinator, String kind, String file) throws Exception {
        byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
        String address = "/api/imports/"
                + coordinator.upload(kind, bytes).json().get("id").asString();
        return take(coordinator, address, "");
    }

    /** Brings in a file that names everybody, so that whoever is not in it goes off file. */
    public static JsonNode bringInEverybody(Visitor coordinator, String file) throws Exception {
        byte[] bytes = file.getBytes(StandardCharsets.UTF_8);
        String address = "/api/imports/"
                + coordinator.upload("PEOPLE", bytes).json().get("id").asString();
        return take(coordinator, address, "?everybody=true");
    }

    private static JsonNode take(Visitor coordinator, String address, String how) throws Exception {
        JsonNode view = coordinator.get(address).json();
        while (!view.get("stage").asString().equals("TAKEN")) {
            if (view.get("stage").asString().equals("FAILED")) {
                throw new AssertionError(view.toString());
            }
            if (view.get("stage").asString().equals("CHECKED")) {
                coordinator.post(address + "/take" + how, "");
            }
            Thread.sleep(20);
            view = coordinator.get(address).json();
        }
        return view;
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
