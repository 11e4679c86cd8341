package dipstick.server.outreach;

import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import java.util.List;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** What somebody does at the desk of a list. */
public record Desks(Visitor visitor, String list) {
    /** How a list is worked, as JSON. */
    public static String manner(int reachedDays, String parts) {
        return "{\"plan\":{\"steps\":[{\"step\":\"CALL\",\"afterDays\":0}],\"afterReached\":14,\"afterBooked\":7},"
                + "\"hold\":{\"appointmentDays\":60,\"reachedDays\":" + reachedDays
                + ",\"doNotContact\":true,\"noWay\":true},\"parts\":[" + parts + "],\"called\":\"\"}";
    }

    public JsonNode row(String person) throws Exception {
        return visitor.get("/api/lists/" + list + "/desk?person=" + person)
                .json()
                .get("rows")
                .valueStream()
                .filter(row -> row.at("/person/id").asString().equals(person))
                .findFirst()
                .orElseThrow(() -> new AssertionError(person + " is not at the desk of " + list));
    }

    public String state(String person) throws Exception {
        return row(person).get("state").asString();
    }

    /** What comes next, and when. */
    public String next(String person) throws Exception {
        JsonNode row = row(person);
        return row.get("nextStep").asString() + " " + row.get("nextOn").asString();
    }

    /** Does it as they see the person now. */
    public Reply does(String kind, String person, String... fields) throws Exception {
        return does(
                UUID.randomUUID().toString(),
                kind,
                person,
                row(person).get("revision").asInt(),
                fields);
    }

    /** @param fields names and JSON values, one after another */
    public Reply does(String batch, String kind, String person, int revision, String... fields) throws Exception {
        String body = "{\"outcome\": \"\", \"words\": \"\", \"step\": \"NONE\", \"day\": \"\", \"to\": \"\","
                + " \"everywhere\": false, \"kind\": \"" + kind + "\", \"batch\": \"" + batch
                + "\", \"people\": [{\"person\": \"" + person + "\", \"revision\": " + revision + "}]}";
        for (int i = 0; i < fields.length; i += 2) {
            body = body.replaceAll(
                    "\"" + fields[i] + "\": (\"[^\"]*\"|false)", "\"" + fields[i] + "\": " + fields[i + 1]);
        }
        return visitor.post("/api/lists/" + list + "/desk/work", body);
    }

    public Reply undo(String batch) throws Exception {
        return visitor.delete("/api/lists/" + list + "/desk/work/" + batch);
    }

    /** What was done, the newest first, in words. */
    public List<String> log(String person) throws Exception {
        return visitor.get("/api/lists/" + list + "/desk/people/" + person)
                .json()
                .get("acts")
                .valueStream()
                .map(act -> (act.get("kind").asString() + " "
                                + act.get("outcome").asString() + " "
                                + act.get("words").asString()
                                + (act.get("undone").asBoolean() ? " (undone)" : ""))
                        .replaceAll(" +", " ")
                        .strip())
                .toList();
    }

    public static String refusal(Reply reply) {
        return reply.json().at("/refused/0/why").asString("");
    }
}
