package dipstick.core.proof;

import java.util.List;
import java.util.Random;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Gives a made-up document names and values that somebody might have: with signs, breaks and words of the language. */
final class OddNames {
    private static final List<String> ODD = List.of(
            "- a dash before it",
            "> another sign",
            "Include",
            "Term set of ours",
            "Mill\nLane",
            "two\n\nbreaks",
            "carriage\r\nreturn",
            "a tab\there",
            "  padded  ",
            "two  spaces",
            "“quoted”",
            "said \"so\"",
            "”",
            "␊ itself and ␛",
            "␛",
            "back\\slash \\n",
            "audiogram",
            "codes",
            "Mixed",
            "visit",
            "visits",
            "record",
            "hearing check record",
            "a; b, or c",
            "in the last year",
            "no",
            "[every]",
            "100 %",
            "1 year",
            "(off)",
            "name: with a colon",
            "#1",
            "Ångström",
            "健康診断",
            "فحص السمع");

    /** Fields whose values are texts; those of others are numbers, days or flags. */
    private static final Set<String> TEXT_FIELDS = Set.of("sex", "site", "status", "text", "keywords");

    private final Random random;

    OddNames(Random random) {
        this.random = random;
    }

    /** Everywhere in the document, in place. */
    ObjectNode give(ObjectNode document) {
        document.put("name", odd());
        if (random.nextBoolean()) {
            document.put("purpose", odd() + (random.nextBoolean() ? "\n\n" + odd() : ""));
        }
        document.path("termSets").forEach(set -> ((ObjectNode) set).put("name", odd()));
        document.path("rosters").forEach(roster -> ((ObjectNode) roster).put("name", odd()));
        document.path("dials").forEach(dial -> ((ObjectNode) dial).put("label", odd()));
        document.path("bands").forEach(band -> ((ObjectNode) band).put("name", odd()));
        document.findParents("test").forEach(criterion -> ((ObjectNode) criterion).put("label", odd()));
        document.findParents("kinds").forEach(selection -> replace((ArrayNode) selection.get("kinds")));
        document.findParents("field").stream()
                .filter(test -> TEXT_FIELDS.contains(test.get("field").asString()))
                .forEach(test -> values((ObjectNode) test));
        return document;
    }

    private void values(ObjectNode test) {
        for (String operator : List.of("in", "notIn")) {
            if (test.path(operator) instanceof ArrayNode list) {
                replace(list);
            }
        }
        for (String operator : List.of("startsWith", "contains")) {
            if (test.path(operator).isString()) {
                test.put(operator, odd());
            }
        }
    }

    private void replace(ArrayNode texts) {
        for (int i = 0; i < texts.size(); i++) {
            JsonNode text = texts.get(i);
            if (text.isString()) {
                texts.set(i, odd());
            }
        }
    }

    private String odd() {
        return ODD.get(random.nextInt(ODD.size()));
    }
}
