package dipstick.server.web;

import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Values that fit a schema of the description more or less: in most of them something is not as it should be. */
final class AnyValue {
    static final String DOCUMENT = """
            {"format": "dipstick-criteria/1", "id": "known", "name": "Known", "purpose": "p",
             "dials": [{"name": "every", "label": "Every", "type": "period", "default": "P12M"}],
             "termSets": [{"id": "t", "name": "T", "members": [{"code": "C"}]}],
             "include": [{"id": "a", "test": {"age": {"from": 18}}}],
             "exclude": [{"id": "b", "test": {"field": "site", "in": ["Harbour Row"]}}],
             "shouldHave": {"rule": "any", "of": [{"id": "c", "test": {"events": {"kinds": ["visit"],
                "window": {"last": {"dial": "every"}}}}}]},
             "bands": [{"name": "Late", "when": {"overdue": {"atLeast": "P1M"}}}],
             "show": ["site"], "order": [{"by": "due_on"}]}""";

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private static final List<String> TEXTS = List.of(
            "known",
            "p1",
            "c",
            "",
            " ",
            "x".repeat(61),
            "x".repeat(401),
            "y".repeat(20_000),
            "\u0000",
            "\n\t",
            "😀",
            "{{nobody}}",
            "{{> partial}}",
            "{{#a}}",
            "'; DROP TABLE person; --",
            "../../etc/passwd",
            "%",
            "_",
            "=1+1",
            "<script>",
            "2026-11-27",
            "0001-01-01",
            "-999999999-01-01",
            "+999999999-12-31",
            "9999-12-31",
            "P1Y",
            "P99999Y",
            "true",
            "-1",
            "99999999999999999999",
            "1e400",
            "NaN",
            "a:b=c",
            "begun",
            "Mill Lane",
            "RECALL",
            "PEOPLE",
            "due_on",
            "en",
            "0",
            "1");

    private static final int DEEPEST = 6;

    private final JsonNode schemas;
    private final Random random;

    AnyValue(JsonNode description, Random random) {
        this.schemas = description.at("/components/schemas");
        this.random = random;
    }

    String parameter(String name) {
        return random.nextInt(3) > 0 ? usual(name) : text();
    }

    private static String usual(String name) {
        return switch (name) {
            case "id", "set", "one", "other" -> "known";
            case "person" -> "p1";
            case "asOf", "from", "through", "to" -> "2026-11-27";
            case "reading", "version", "before" -> "1";
            case "kind" -> "PEOPLE";
            case "name", "account" -> "begun";
            default -> "x";
        };
    }

    /** As If-Match has it. */
    String revision() {
        return switch (random.nextInt(6)) {
            case 0 -> "";
            case 1 -> "\"99999999999999\"";
            case 2 -> "nonsense";
            default -> "\"" + random.nextInt(3) + "\"";
        };
    }

    /** Empty where the operation takes none. */
    String body(JsonNode operation) {
        JsonNode schema = operation.at("/requestBody/content/application~1json/schema");
        if (schema.isMissingNode()) {
            return "";
        }
        return switch (random.nextInt(12)) {
            case 0 -> "null";
            case 1 -> "[]";
            case 2 -> "{";
            case 3 -> "[".repeat(2_000);
            default -> JsonMapper.shared().writeValueAsString(of(schema, 0));
        };
    }

    private JsonNode of(JsonNode schema, int depth) {
        if (random.nextInt(25) == 0 || depth > DEEPEST) {
            return odd();
        }
        if (schema.has("$ref")) {
            String name = schema.get("$ref").asString();
            return of(schemas.path(name.substring(name.lastIndexOf('/') + 1)), depth);
        }
        if (schema.has("enum")) {
            JsonNode values = schema.get("enum");
            return values.get(random.nextInt(values.size()));
        }
        return switch (schema.path("type").asString("")) {
            case "object" -> object(schema, depth);
            case "array" -> array(schema, depth);
            case "integer" -> NODES.numberNode(random.nextInt(4) - 1);
            case "number" -> NODES.numberNode(random.nextGaussian());
            case "boolean" -> NODES.booleanNode(random.nextBoolean());
            case "string" -> NODES.stringNode(text());
            default -> document();
        };
    }

    private JsonNode object(JsonNode schema, int depth) {
        if (schema.path("properties").isEmpty() && !schema.has("additionalProperties")) {
            return document();
        }
        ObjectNode object = NODES.objectNode();
        schema.path("properties").properties().forEach(property -> {
            if (random.nextInt(12) > 0) {
                object.set(property.getKey(), of(property.getValue(), depth + 1));
            }
        });
        if (schema.path("additionalProperties").isObject()) {
            for (int i = random.nextInt(3); i > 0; i--) {
                object.set(text(), of(schema.get("additionalProperties"), depth + 1));
            }
        }
        return object;
    }

    private JsonNode array(JsonNode schema, int depth) {
        ArrayNode array = NODES.arrayNode();
        int size = random.nextInt(20) == 0 ? 300 : random.nextInt(3);
        for (int i = 0; i < size; i++) {
            array.add(of(schema.path("items"), depth + 1));
        }
        return array;
    }

    /** A criteria set in which something was put in the place of something else. */
    private JsonNode document() {
        JsonNode whole = JsonMapper.shared().readTree(DOCUMENT);
        for (int i = random.nextInt(3); i > 0; i--) {
            JsonNode place = whole;
            while (!place.isEmpty() && random.nextInt(4) > 0) {
                List<JsonNode> parts =
                        place.valueStream().filter(JsonNode::isContainer).toList();
                if (parts.isEmpty()) {
                    break;
                }
                place = parts.get(random.nextInt(parts.size()));
            }
            if (place instanceof ObjectNode object && !object.isEmpty()) {
                List<String> names = List.copyOf(object.propertyNames());
                object.set(names.get(random.nextInt(names.size())), odd());
            } else if (place instanceof ArrayNode array) {
                array.add(odd());
            }
        }
        return whole;
    }

    private JsonNode odd() {
        return switch (random.nextInt(7)) {
            case 0 -> NODES.nullNode();
            case 1 -> NODES.arrayNode().addNull();
            case 2 -> NODES.objectNode().putNull("x");
            case 3 -> NODES.numberNode(Long.MAX_VALUE);
            case 4 -> NODES.booleanNode(true);
            default -> NODES.stringNode(text());
        };
    }

    private String text() {
        return TEXTS.get(random.nextInt(TEXTS.size()));
    }
}
