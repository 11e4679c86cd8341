package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import dipstick.core.typed.Expected.What;
import dipstick.core.typed.Expected.Within;
import dipstick.core.wording.Quoted;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads a test (criteria.md section 3) from its sentence. */
final class TestParser {
    /** Deeper than anybody writes, and far from what the stack holds. */
    private static final int DEEPEST = 200;

    /** How the parts of another set are said, in the order in which they are offered. */
    private static final List<Map.Entry<String, String>> PARTS = List.of(
            Map.entry("on the list of", "list"),
            Map.entry("eligible for", "eligible"),
            Map.entry("has what they should by", "has"));

    private final Cursor cursor;
    private final Vocabulary vocabulary;
    private final ValueParser values;
    private final WindowParser windows;
    private final FieldTestParser fieldTests;
    private final SelectionParser selections;
    private int depth;

    TestParser(Cursor cursor, Vocabulary vocabulary) {
        this.cursor = cursor;
        this.vocabulary = vocabulary;
        this.values = new ValueParser(cursor, vocabulary);
        this.windows = new WindowParser(cursor, values);
        this.fieldTests = new FieldTestParser(cursor, values, windows, vocabulary);
        this.selections = new SelectionParser(cursor, values, windows, fieldTests, vocabulary);
    }

    ValueParser values() {
        return values;
    }

    FieldTestParser fieldTests() {
        return fieldTests;
    }

    ObjectNode test() throws Mistake {
        if (depth == DEEPEST) {
            throw cursor.wrong(cursor.mark(), "Groups cannot stand in each other more than " + DEEPEST + " deep.");
        }
        depth++;
        ObjectNode test = undeep();
        depth--;
        return test;
    }

    private ObjectNode undeep() throws Mistake {
        for (String rule : List.of("all", "any")) {
            if (cursor.take(rule + " of these")) {
                return JSON.objectNode().set(rule, parts());
            }
        }
        if (cursor.take("not so that")) {
            cursor.need("(");
            ObjectNode not = JSON.objectNode().set("not", test());
            cursor.need(")");
            return not;
        }
        if (cursor.take("aged")) {
            return JSON.objectNode().set("age", age());
        }
        boolean the = cursor.skip("the");
        for (String end : List.of("latest", "earliest")) {
            cursor.expect("the " + end, What.WORDS);
            if (cursor.skip(end)) {
                return pick(end);
            }
        }
        if (the) {
            throw cursor.stuck();
        }
        for (String anchor : List.of("after the latest", "after the earliest", "after any", "after each")) {
            if (cursor.take(anchor)) {
                return sequence(anchor.substring(anchor.lastIndexOf(' ') + 1));
            }
        }
        for (Map.Entry<String, String> part : PARTS) {
            if (cursor.take(part.getKey())) {
                return member(part.getValue());
            }
        }
        if (cursor.take("in the roster")) {
            vocabulary.rosters().forEach(roster -> cursor.expect(Quoted.name(roster.name()), What.ROSTER));
            return JSON.objectNode()
                    .put(
                            "roster",
                            selections.names(vocabulary.rosters(), "roster").orElseThrow(cursor::stuck));
        }
        Optional<ObjectNode> field = fieldTests.ofPerson();
        return field.isPresent() ? field.get() : events();
    }

    private ArrayNode parts() throws Mistake {
        ArrayNode parts = JSON.arrayNode();
        cursor.need("(");
        if (cursor.skip(")")) {
            return parts;
        }
        do {
            parts.add(test());
        } while (cursor.take(";"));
        cursor.need(")");
        return parts;
    }

    private ObjectNode age() throws Mistake {
        ObjectNode age = windows.ages();
        if (cursor.take("at the start of the year")) {
            age.put("on", "startOfYear");
        } else if (cursor.take("at the end of the year")) {
            age.put("on", "endOfYear");
        } else if (cursor.take("on")) {
            age.set("on", values.date());
        }
        cursor.passRemark();
        return age;
    }

    private ObjectNode member(String part) throws Mistake {
        vocabulary.sets().forEach(set -> cursor.expect(Quoted.name(set.name()), What.SET));
        String set = selections.names(vocabulary.sets(), "other set").orElseThrow(cursor::stuck);
        ObjectNode member = JSON.objectNode().put("member", set);
        return part.equals("list") ? member : member.put("part", part);
    }

    private ObjectNode pick(String end) throws Mistake {
        ObjectNode selection = selections.selection();
        selections.window(selection);
        ObjectNode pick = JSON.objectNode().set(end, selection);
        if (cursor.take("is on record")) {
            return pick.set("is", JSON.arrayNode());
        }
        if (cursor.take("is one whose")) {
            return pick.set("is", fieldTests.ofEvent(Within.of(selection)));
        }
        cursor.skip("is");
        Optional<ObjectNode> value = fieldTests.ofValue();
        if (value.isPresent()) {
            return pick.set("is", JSON.arrayNode().add(value.get()));
        }
        // "latest blood pressure above 150 in the last year": the value was taken for part of what is picked.
        JsonNode where = selection.path("where");
        if (where.size() == 1 && where.get(0).path("field").asString("").equals("value")) {
            selection.remove("where");
            return pick.set("is", where);
        }
        throw cursor.stuck();
    }

    private ObjectNode sequence(String pick) throws Mistake {
        ObjectNode after = selections.selection();
        selections.window(after);
        ObjectNode sequence = JSON.objectNode().set("after", after);
        if (!pick.equals("latest")) {
            sequence.put("pick", pick);
        }
        cursor.need("had");
        counted(sequence, "expect", false);
        if (cursor.take("on or after it")) {
            return sequence.put("within", "P150Y");
        }
        if (cursor.take("after it")) {
            return sequence.put("notBefore", "P1D").put("within", "P150Y");
        }
        cursor.need("within");
        JsonNode first = values.period();
        if (cursor.take("to")) {
            sequence.set("notBefore", first);
            first = values.period();
        }
        return sequence.set("within", first);
    }

    private ObjectNode events() throws Mistake {
        ObjectNode test = JSON.objectNode();
        boolean never = cursor.skip("never");
        if (!never) {
            cursor.expect("had", What.WORDS);
            cursor.skip("has");
        }
        cursor.skip("had");
        counted(test, "events", never);
        return test;
    }

    /** "2 or more visits in asthma, on different days, in the last 12 months". */
    private void counted(ObjectNode test, String key, boolean never) throws Mistake {
        Optional<ObjectNode> count = count(test);
        if (never && count.isEmpty()) {
            count = Optional.of(JSON.objectNode().put("none", true));
        }
        if (test.has("of") || test.has("all")) {
            return;
        }
        ObjectNode selection = selections.selection();
        test.set(key, selection);
        if (count.isPresent()) {
            test.set("count", count.get());
        }
        if (cursor.take(", on different days")) {
            test.put("per", "day");
        } else if (cursor.take(", of different codes")) {
            test.put("per", "code");
        }
        cursor.skip(",");
        selections.window(selection);
    }

    /** The count before what is counted. Where "at least 2" begins a group, that is read into the test. */
    private Optional<ObjectNode> count(ObjectNode test) throws Mistake {
        ObjectNode count = JSON.objectNode();
        if (cursor.take("no")) {
            return Optional.of(count.put("none", true));
        }
        if (cursor.takeAny("a", "an") || cursor.skip("any")) {
            return Optional.empty();
        }
        if (cursor.take("at least")) {
            JsonNode number = values.number();
            if (cursor.take("of these")) {
                test.set("atLeast", number);
                test.set("of", parts());
                return Optional.empty();
            }
            return Optional.of(count.set("atLeast", number));
        }
        if (cursor.take("at most")) {
            return Optional.of(count.set("atMost", values.number()));
        }
        if (cursor.take("exactly")) {
            JsonNode number = values.number();
            if (number.isInt() && cursor.take("of these")) {
                ArrayNode parts = parts();
                test.set(
                        "all",
                        JSON.arrayNode()
                                .add(JSON.objectNode().set("atLeast", number).set("of", parts))
                                .add(JSON.objectNode()
                                        .set(
                                                "not",
                                                JSON.objectNode()
                                                        .put("atLeast", number.intValue() + 1)
                                                        .set("of", parts.deepCopy()))));
                return Optional.empty();
            }
            return Optional.of(count.set("exactly", number));
        }
        if (values.isNumber()) {
            JsonNode number = values.number();
            cursor.need("or more");
            return Optional.of(count.set("atLeast", number));
        }
        cursor.expect("2 or more", What.WORDS);
        return Optional.empty();
    }
}
