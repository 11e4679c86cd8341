package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads when somebody is in a band (criteria.md section 4). */
final class BandParser {
    private final Cursor cursor;
    private final TestParser tests;

    BandParser(Cursor cursor, TestParser tests) {
        this.cursor = cursor;
        this.tests = tests;
    }

    ObjectNode when() throws Mistake {
        if (cursor.take("never met") || cursor.skip("overdue never")) {
            return JSON.objectNode().put("overdue", "never");
        }
        if (cursor.take("everybody else") || cursor.skip("everyone else")) {
            return JSON.objectNode().set("all", JSON.arrayNode());
        }
        if (cursor.take("overdue by")) {
            cursor.skip("at least");
            JsonNode least = tests.values().period();
            cursor.take("or more");
            cursor.passRemark();
            return overdue(least);
        }
        if (cursor.skip("overdue")) {
            return overdue(JSON.stringNode("P0D"));
        }
        return tests.test();
    }

    private static ObjectNode overdue(JsonNode least) {
        return JSON.objectNode().set("overdue", JSON.objectNode().set("atLeast", least));
    }
}
