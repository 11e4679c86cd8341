package dipstick.server.deliveries;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;

/** Sends files of other systems, and waits until something comes of them. */
record Sent(Visitor who) {
    JsonNode file(String name, String text) throws Exception {
        return file(name, text.getBytes(StandardCharsets.UTF_8));
    }

    JsonNode file(String name, byte[] bytes) throws Exception {
        String query = URLEncoder.encode(name, StandardCharsets.UTF_8);
        return settled(who.post("/api/deliveries?name=" + query, bytes).json());
    }

    JsonNode take(JsonNode tried) throws Exception {
        return People.take(who, tried);
    }

    static String address(JsonNode delivery) {
        return People.address(delivery);
    }

    JsonNode settled(JsonNode view) throws Exception {
        return People.settled(who, view);
    }

    static String counts(JsonNode brought) {
        return "people " + brought.at("/people/added").asInt() + " new "
                + brought.at("/people/changed").asInt() + " changed, events "
                + brought.at("/events/added").asInt() + " new "
                + brought.at("/events/changed").asInt() + " changed";
    }

    /** What is on file of somebody, by field. */
    Map<String, String> person(String id) throws Exception {
        Map<String, String> details = new TreeMap<>();
        who.get("/api/people/" + id)
                .json()
                .get("details")
                .forEach(one -> details.put(
                        one.get("field").asString(), one.get("value").asString()));
        return details;
    }
}
