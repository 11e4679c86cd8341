package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import dipstick.core.criteria.Dial;
import dipstick.core.typed.Expected.What;
import dipstick.core.typed.Expected.Within;
import dipstick.core.typed.Vocabulary.Named;
import dipstick.core.wording.Quoted;
import dipstick.core.wording.SelectionWords;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads what records are meant: "active problem in asthma", "visits or fitting records whose status is final". */
final class SelectionParser {
    private final Cursor cursor;
    private final ValueParser values;
    private final WindowParser windows;
    private final FieldTestParser fieldTests;
    private final Vocabulary vocabulary;

    SelectionParser(
            Cursor cursor,
            ValueParser values,
            WindowParser windows,
            FieldTestParser fieldTests,
            Vocabulary vocabulary) {
        this.cursor = cursor;
        this.values = values;
        this.windows = windows;
        this.fieldTests = fieldTests;
        this.vocabulary = vocabulary;
    }

    /** A selection without its window. */
    ObjectNode selection() throws Mistake {
        ObjectNode selection = JSON.objectNode();
        boolean active = cursor.take("active");
        kindsAndTerms(selection);
        Optional<ObjectNode> value = fieldTests.ofValue();
        if (value.isPresent()) {
            selection.set("where", JSON.arrayNode().add(value.get()));
        } else if (cursor.take("whose")) {
            selection.set("where", fieldTests.ofEvent(Within.of(selection)));
        } else if (cursor.take("recorded")) {
            selection.set(
                    "where",
                    JSON.arrayNode()
                            .add(JSON.objectNode().put("field", "recorded_on").set("window", windows.needed())));
        }
        if (active) {
            selection.put("active", true);
        }
        return selection;
    }

    /** The window behind a selection goes into it, where there is one. */
    void window(ObjectNode selection) throws Mistake {
        Optional<ObjectNode> window = windows.window();
        if (window.isPresent()) {
            selection.set("window", window.get());
        }
    }

    private void kindsAndTerms(ObjectNode selection) throws Mistake {
        expectNames();
        if (cursor.takeAny("records", "record")) {
            terms(selection);
            return;
        }
        Optional<JsonNode> dial = kindsDial();
        if (dial.isPresent()) {
            selection.set("kinds", dial.get());
            terms(selection);
            return;
        }
        if (cursor.skip("( nothing chosen )")) {
            selection.set("kinds", JSON.arrayNode());
            cursor.takeAny("records", "record");
            terms(selection);
            return;
        }
        Optional<JsonNode> first = kind();
        if (first.isEmpty()) {
            selection.set("terms", termSets(Within.ALL));
            cursor.skip("records");
            return;
        }
        ArrayNode kinds = JSON.arrayNode().add(first.get());
        while (values.another()) {
            expectNames();
            kinds.add(kind().orElseThrow(cursor::stuck));
        }
        selection.set("kinds", kinds);
        terms(selection);
    }

    private void terms(ObjectNode selection) throws Mistake {
        if (!windows.isNext() && cursor.take("in")) {
            Within within = Within.of(selection);
            expectTerms(within);
            selection.set("terms", cursor.skip("( nothing chosen )") ? JSON.arrayNode() : termSets(within));
        }
    }

    private ArrayNode termSets(Within within) throws Mistake {
        return values.list(() -> {
            expectTerms(within);
            Optional<String> id = names(vocabulary.termSets(), "term set");
            return JSON.stringNode(id.isPresent() ? id.get() : unknown());
        });
    }

    private String unknown() throws Mistake {
        int mark = cursor.mark();
        String run = cursor.run(Quoted::isReserved);
        if (run.isEmpty()) {
            throw cursor.stuck();
        }
        throw cursor.wrong(mark, "No kind of record and no term set here is called “" + run + "”.");
    }

    private void expectNames() {
        vocabulary.kinds().forEach(kind -> cursor.expect(SelectionWords.kind(kind), What.KIND));
        expectTerms(Within.ALL);
    }

    private void expectTerms(Within within) {
        vocabulary.termSets().forEach(set -> cursor.expect(Quoted.name(set.name()), What.TERM_SET, "", within));
        cursor.expect("", What.TERM, "", within);
    }

    private Optional<JsonNode> kindsDial() throws Mistake {
        Optional<JsonNode> dial = values.dial(Dial.Type.TEXTS);
        if (dial.isPresent()) {
            cursor.takeAny("records", "record");
        }
        return dial;
    }

    /** A kind, whether it is on record or not. */
    private Optional<JsonNode> kind() throws Mistake {
        for (String kind : SelectionWords.COUNTABLE) {
            if (cursor.skip(kind) || cursor.skip(kind + "s")) {
                return Optional.of(JSON.stringNode(kind));
            }
        }
        int mark = cursor.mark();
        if (cursor.isKind(Token.Kind.DIAL)) {
            Optional<JsonNode> dial = values.dial(Dial.Type.TEXT);
            cursor.takeAny("records", "record");
            return dial;
        }
        if (cursor.isKind(Token.Kind.QUOTED)) {
            String quoted = cursor.takeKind(Token.Kind.QUOTED).text();
            if (cursor.takeAny("records", "record")) {
                return Optional.of(JSON.stringNode(quoted));
            }
            cursor.back(mark);
            return Optional.empty();
        }
        String run = cursor.run(Quoted::isReserved);
        boolean isTermSet = vocabulary.termSets().stream().anyMatch(set -> set.isCalled(run));
        if (!run.isEmpty() && isRecordsNext() && (!isTermSet || isOnRecord(run))) {
            cursor.pass(1);
            return Optional.of(JSON.stringNode(run));
        }
        if (!isTermSet && isOnRecord(run)) {
            return Optional.of(JSON.stringNode(run));
        }
        cursor.back(mark);
        return Optional.empty();
    }

    private boolean isRecordsNext() {
        return cursor.isNext("records") || cursor.isNext("record");
    }

    private boolean isOnRecord(String kind) {
        return vocabulary.kinds().stream().anyMatch(one -> one.equalsIgnoreCase(kind));
    }

    /** The id of the thing that is named here: by its name, and its id where others share the name. */
    Optional<String> names(List<Named> things, String what) throws Mistake {
        int mark = cursor.mark();
        if (cursor.isKind(Token.Kind.QUOTED)) {
            String name = cursor.takeKind(Token.Kind.QUOTED).text();
            if (cursor.skip("#")) {
                return Optional.of(values.plainText());
            }
            return Optional.of(things.stream()
                    .filter(thing -> thing.isCalled(name))
                    .findFirst()
                    .orElseThrow(() -> cursor.wrong(mark, "There is no " + what + " “" + name + "” here."))
                    .id());
        }
        Optional<Named> longest =
                things.stream().filter(thing -> lengthOf(thing) > 0).max(Comparator.comparingInt(this::lengthOf));
        longest.ifPresent(thing -> cursor.pass(lengthOf(thing)));
        return longest.map(Named::id);
    }

    private int lengthOf(Named thing) {
        return Math.max(cursor.lengthOf(thing.name()), cursor.lengthOf(thing.name() + "s"));
    }
}
