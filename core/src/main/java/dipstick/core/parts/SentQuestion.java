package dipstick.core.parts;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.text.Fingerprint;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a practice asks of a region, as a file: {@code {"format": "dipstick-question/1", "asOf": "2026-11-23", "zone":
 * "Europe/Lisbon", "dials": {"every": "P6M"}, "documents": […]}}.
 *
 * @param documents the criteria set, and those that it may name as members
 * @param dials by name, what they are turned to
 */
public record SentQuestion(List<JsonNode> documents, Map<String, String> dials, ZoneId zone, LocalDate asOf) {
    private static final String FORMAT = "dipstick-question/1";
    private static final int MOST_DOCUMENTS = 100;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    public SentQuestion {
        documents = List.copyOf(documents);
        dials = Map.copyOf(dials);
    }

    /** @throws InvalidQuestion where the text is no question */
    public static SentQuestion parse(String text) throws InvalidQuestion {
        JsonNode json = json(text);
        if (!json.path("format").asString("").equals(FORMAT)) {
            throw new InvalidQuestion("its “format” should be " + FORMAT + ".");
        }
        ArrayNode documents = json.path("documents") instanceof ArrayNode array ? array : JSON.arrayNode();
        if (documents.isEmpty() || documents.size() > MOST_DOCUMENTS) {
            throw new InvalidQuestion("its “documents” should be one criteria set to " + MOST_DOCUMENTS + ".");
        }
        Map<String, String> dials = new TreeMap<>();
        json.path("dials")
                .properties()
                .forEach(dial -> dials.put(dial.getKey(), dial.getValue().asString("")));
        try {
            return new SentQuestion(
                    documents.valueStream().toList(),
                    dials,
                    ZoneId.of(json.path("zone").asString("")),
                    LocalDate.parse(json.path("asOf").asString("")));
        } catch (DateTimeException wrong) {
            throw new InvalidQuestion(
                    "its “asOf” should be a day such as 2026-11-23, its “zone” a time zone such as Europe/Lisbon.");
        }
    }

    private static JsonNode json(String text) throws InvalidQuestion {
        try {
            return CriteriaSource.parse("", text).json();
        } catch (InvalidCriteria notJson) {
            throw new InvalidQuestion(notJson.first());
        }
    }

    public String text() {
        ObjectNode json = JSON.objectNode();
        json.put("format", FORMAT).put("asOf", asOf.toString()).put("zone", zone.getId());
        new TreeMap<>(dials).forEach(json.putObject("dials")::put);
        json.putArray("documents").addAll(documents);
        return json.toPrettyString() + "\n";
    }

    public String fingerprint() {
        return fingerprint(documents, dials);
    }

    /**
     * What tells what is asked from everything else, whatever the day: the same documents with the same dials, however they
     * are written, and in whatever order those stand that are named.
     */
    static String fingerprint(List<JsonNode> documents, Map<String, String> dials) {
        ArrayNode asked = JSON.arrayNode();
        new TreeMap<>(dials).forEach(asked.addObject()::put);
        Stream<String> named =
                documents.stream().skip(1).map(JsonNode::toString).sorted();
        Stream.concat(documents.stream().limit(1).map(JsonNode::toString), named)
                .forEach(asked::add);
        return Fingerprint.of(asked.toString());
    }
}
