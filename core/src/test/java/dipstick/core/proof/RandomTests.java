package dipstick.core.proof;

import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Made-up tests of every construct, all of them valid; of rosters and other sets where there are some. */
final class RandomTests {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final Random random;
    private final RandomRecords records;
    private final LocalDate asOf;
    private final List<String> sets;
    private final List<String> rosters;

    /** @param sets the ids of sets, and {@code rosters} those of rosters, that a test may name */
    RandomTests(Random random, RandomRecords records, LocalDate asOf, List<String> sets, List<String> rosters) {
        this.random = random;
        this.records = records;
        this.asOf = asOf;
        this.sets = sets;
        this.rosters = rosters;
    }

    ObjectNode test(int depth) {
        if (depth > 0 && random.nextInt(3) == 0) {
            return group(depth);
        }
        if (!sets.isEmpty() && random.nextInt(8) == 0) {
            ObjectNode member = JSON.objectNode().put("member", records.of(sets));
            return random.nextBoolean() ? member : member.put("part", records.of(List.of("list", "eligible", "has")));
        }
        if (!rosters.isEmpty() && random.nextInt(10) == 0) {
            return JSON.objectNode().put("roster", records.of(rosters));
        }
        return switch (random.nextInt(10)) {
            case 0, 1 -> personField();
            case 2 -> JSON.objectNode().set("age", ages(true));
            case 3, 4, 5, 6 -> counted(JSON.objectNode().set("events", selection()));
            case 7, 8 -> pick();
            default -> sequence();
        };
    }

    private ObjectNode group(int depth) {
        ArrayNode parts = JSON.arrayNode();
        int count = random.nextInt(4);
        for (int i = 0; i < count; i++) {
            parts.add(test(depth - 1));
        }
        return switch (random.nextInt(4)) {
            case 0 -> JSON.objectNode().set("all", parts);
            case 1 -> JSON.objectNode().set("any", parts);
            case 2 -> JSON.objectNode().set("not", test(depth - 1));
            default -> JSON.objectNode().put("atLeast", random.nextInt(3)).set("of", parts);
        };
    }

    private ObjectNode personField() {
        return switch (random.nextInt(5)) {
            case 0 -> text("sex", List.of("female", "MALE"));
            case 1 -> text("site", RandomRecords.SITES);
            case 2 -> number("frailty", List.of(1.0, 2.5, 3.0, 10.0));
            case 3 -> date(random.nextBoolean() ? "seen" : "birth_date");
            default -> JSON.objectNode().put("field", "aid").put("is", random.nextBoolean());
        };
    }

    private ObjectNode eventField() {
        return switch (random.nextInt(9)) {
            case 0, 1 -> text("status", RandomRecords.STATUSES);
            case 2 -> number("value", List.of(120.0, 150.0, 151.5));
            case 3 -> date(records.of(List.of("on", "until", "recorded_on", "reviewed")));
            case 4 -> text("keywords", List.of("AUDIOGRAM", "spine"));
            case 5 -> text("room", RandomRecords.ROOMS);
            case 6 -> number("wait", List.of(3.0, 7.5, 14.0));
            case 7 -> JSON.objectNode().put("field", "phoned").put("is", random.nextBoolean());
            default -> text("text", RandomRecords.TEXTS);
        };
    }

    private ObjectNode text(String field, List<String> texts) {
        ObjectNode test = JSON.objectNode().put("field", field);
        String text = records.of(texts);
        return switch (random.nextInt(5)) {
            case 0, 1 -> test.set("in", list(text));
            case 2 -> test.set("notIn", list(text));
            case 3 -> test.put(random.nextBoolean() ? "startsWith" : "contains", text.substring(0, 4));
            default -> test.put("missing", random.nextBoolean());
        };
    }

    private ObjectNode number(String field, List<Double> numbers) {
        ObjectNode test = JSON.objectNode().put("field", field);
        double number = records.of(numbers);
        switch (random.nextInt(6)) {
            case 0 -> test.set("in", JSON.arrayNode().add(number));
            case 1 -> test.set("notIn", JSON.arrayNode().add(number));
            case 2 -> test.put("above", number);
            case 3 -> test.put("atLeast", number);
            case 4 -> test.put("atMost", number);
            default -> test.put("above", number - 1).put("below", number + 0.5);
        }
        if (field.equals("value") && random.nextInt(3) == 0) {
            test.put("unit", records.of(RandomRecords.UNITS));
        }
        return test;
    }

    private ObjectNode date(String field) {
        ObjectNode test = JSON.objectNode().put("field", field);
        return switch (random.nextInt(5)) {
            case 0 -> test.set("in", JSON.arrayNode().add(records.date()).add(records.date()));
            case 1 -> test.set("notIn", list(records.date()));
            case 2 -> test.put(random.nextBoolean() ? "from" : "through", records.date());
            case 3 -> test.set("window", window());
            default -> test.put("missing", random.nextBoolean());
        };
    }

    private ObjectNode ages(boolean withDay) {
        ObjectNode ages = JSON.objectNode();
        String unit = records.of(List.of("years", "months", "weeks", "days"));
        int from = switch (unit) {
            case "years" -> records.of(List.of(1, 2, 10, 12));
            case "months" -> records.of(List.of(6, 18, 24));
            case "weeks" -> records.of(List.of(52, 104));
            default -> records.of(List.of(180, 365));
        };
        if (random.nextInt(3) > 0) {
            ages.put("from", from);
        }
        if (!ages.has("from") || random.nextBoolean()) {
            ages.put("through", from + random.nextInt(3));
        }
        if (!unit.equals("years")) {
            ages.put("unit", unit);
        }
        if (withDay && random.nextInt(4) == 0) {
            ages.put(
                    "on",
                    records.of(List.of(
                            "startOfYear", "endOfYear", asOf.minusDays(1).toString())));
        }
        return ages;
    }

    private ObjectNode window() {
        ObjectNode window = JSON.objectNode();
        return switch (random.nextInt(9)) {
            case 0 -> window.put("ever", true);
            case 1 -> window.put("any", true);
            case 2, 3 -> window.put("last", records.period());
            case 4 -> window.put("next", records.period());
            case 5 -> window.set("ago", JSON.arrayNode().add("P2Y").add(records.of(List.of("P1Y", "P1M", "P1M1D"))));
            case 6 -> window.put("sinceStartOf", records.of(List.of("year", "quarter", "month", "week")));
            case 7 -> window.set("dates", dates());
            default -> window.set("atAge", ages(false));
        };
    }

    private ArrayNode dates() {
        String first = asOf.minusMonths(6).plusDays(random.nextInt(3)).toString();
        String last = asOf.plusDays(random.nextInt(-1, 40)).toString();
        ArrayNode dates = JSON.arrayNode();
        JsonNode open = JSON.nullNode();
        dates.add(random.nextInt(3) == 0 ? open : JSON.stringNode(first));
        dates.add(random.nextInt(3) == 0 ? open : JSON.stringNode(last));
        return dates;
    }

    ObjectNode selection() {
        ObjectNode selection = JSON.objectNode();
        if (random.nextInt(3) == 0) {
            selection.set("kinds", list(records.of(RandomRecords.KINDS)));
        }
        if (random.nextInt(3) == 0) {
            selection.set("terms", list(records.of(List.of("codes", "texts", "mixed"))));
        }
        if (random.nextInt(3) == 0) {
            selection.set("where", JSON.arrayNode().add(eventField()));
        }
        if (random.nextInt(6) == 0) {
            selection.put("active", true);
        }
        if (random.nextInt(4) > 0) {
            selection.set("window", window());
        }
        return selection;
    }

    private ObjectNode counted(ObjectNode test) {
        if (random.nextBoolean()) {
            ObjectNode count = JSON.objectNode();
            switch (random.nextInt(4)) {
                case 0 -> count.put("none", true);
                case 1 -> count.put("atMost", random.nextInt(3));
                case 2 -> count.put("exactly", random.nextInt(3));
                default -> count.put("atLeast", random.nextInt(4));
            }
            test.set("count", count);
        }
        if (random.nextInt(3) == 0) {
            test.put("per", records.of(List.of("record", "day", "code")));
        }
        return test;
    }

    private ObjectNode pick() {
        ArrayNode is = JSON.arrayNode();
        int count = random.nextInt(3);
        for (int i = 0; i < count; i++) {
            is.add(eventField());
        }
        ObjectNode test = JSON.objectNode();
        test.set(random.nextBoolean() ? "latest" : "earliest", selection());
        return test.set("is", is);
    }

    private ObjectNode sequence() {
        ObjectNode test = JSON.objectNode();
        test.set("after", selection());
        test.set("expect", selection());
        test.put("within", records.of(List.of("P30D", "P90D", "P6M")));
        if (random.nextBoolean()) {
            test.put("notBefore", records.of(List.of("P0D", "P1D", "P7D")));
        }
        if (random.nextInt(4) > 0) {
            test.put("pick", records.of(List.of("latest", "earliest", "any", "each")));
        }
        return counted(test);
    }

    private static ArrayNode list(String text) {
        return JSON.arrayNode().add(text);
    }
}
