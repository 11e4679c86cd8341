package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import dipstick.core.criteria.Dial;
import dipstick.core.typed.Expected.What;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads the parts of a set's text that give names: dials, term sets and rosters. */
final class NamesReader {
    private final ObjectNode document;
    private final JsonNode current;
    private final Vocabulary known;
    private final List<Mistake> mistakes;

    NamesReader(ObjectNode document, JsonNode current, Vocabulary known, List<Mistake> mistakes) {
        this.document = document;
        this.current = current;
        this.known = known;
        this.mistakes = mistakes;
    }

    void read(Block block) {
        LineReader lines = new LineReader(known, mistakes);
        if (block.heading().text().startsWith(Heading.DIALS)) {
            lines.read(block.heading(), (cursor, parser) -> cursor.need(Heading.DIALS));
            block.lines()
                    .forEach(line ->
                            lines.read(line, (cursor, parser) -> dial(cursor, parser.values(), parser.fieldTests())));
            return;
        }
        lines.read(block.heading(), (cursor, parser) -> {
            if (cursor.take(Heading.TERM_SET)) {
                ArrayNode members = named(cursor, parser.values(), "termSets").putArray("members");
                block.lines().forEach(line -> lines.read(line, (at, words) -> members.add(member(at, words.values()))));
            } else {
                cursor.need(Heading.ROSTER);
                ObjectNode roster = named(cursor, parser.values(), "rosters");
                cursor.need(":");
                roster.set("key", parser.fieldTests().names(known.personFields(), What.PERSON_FIELD));
                ArrayNode rows = roster.putArray("rows");
                block.lines().forEach(line -> lines.read(line, (at, words) -> rows.add(row(at, words.values()))));
            }
        });
    }

    /** The thing that is called here, with its id: the one given, that of its name so far, or one made of the name. */
    private ObjectNode named(Cursor cursor, ValueParser values, String list) throws Mistake {
        int mark = cursor.mark();
        String name = cursor.isKind(Token.Kind.QUOTED) ? values.plainText() : cursor.run(word -> false);
        if (name.isBlank()) {
            throw cursor.stuck(" A name is missing.");
        }
        String id = cursor.skip("#") ? values.plainText() : idOf(name, list);
        if (taken(document, list).anyMatch(id::equals)) {
            throw cursor.wrong(mark, "There are two called “" + name + "”.");
        }
        return document.withArray(list).addObject().put("id", id).put("name", name);
    }

    private String idOf(String name, String list) {
        Set<String> ids =
                Stream.concat(taken(current, list), taken(document, list)).collect(Collectors.toSet());
        String slug = Slug.of(name);
        return Vocabulary.named(current.path(list)).stream()
                .filter(one -> one.isCalled(name))
                .map(Vocabulary.Named::id)
                .findFirst()
                .orElseGet(() -> CriterionIds.firstFree(slug.isEmpty() ? "name" : slug, ids));
    }

    private static Stream<String> taken(JsonNode document, String list) {
        return document.path(list).valueStream().map(one -> one.path("id").asString(""));
    }

    private static ObjectNode member(Cursor cursor, ValueParser values) throws Mistake {
        if (cursor.take("code")) {
            ObjectNode code = JSON.objectNode();
            JsonNode value = values.text();
            if (cursor.take("of")) {
                code.set("system", values.text());
            }
            return code.set("code", value);
        }
        if (cursor.take("keyword")) {
            return JSON.objectNode().set("keyword", values.text());
        }
        cursor.need("text");
        boolean starts = cursor.take("starting with");
        boolean contains = !starts && cursor.take("containing");
        ObjectNode text = JSON.objectNode().set("text", values.text());
        return starts || contains ? text.put("match", starts ? "startsWith" : "contains") : text;
    }

    private static ArrayNode row(Cursor cursor, ValueParser values) throws Mistake {
        ArrayNode row = JSON.arrayNode();
        do {
            row.add(cursor.take("blank") ? JSON.nullNode() : JSON.stringNode(values.plainText()));
        } while (cursor.take(","));
        return row;
    }

    private void dial(Cursor cursor, ValueParser values, FieldTestParser fields) throws Mistake {
        String name = cursor.takeKind(Token.Kind.DIAL).text();
        ObjectNode dial = JSON.objectNode().put("name", name);
        if (cursor.isKind(Token.Kind.QUOTED)) {
            dial.put("label", values.plainText());
        }
        Dial.Type type = type(cursor);
        dial.put("type", type.name().toLowerCase(Locale.ROOT));
        cursor.need(":");
        dial.set("default", type == Dial.Type.TEXTS ? several(values, type) : one(values, type));
        while (cursor.take(";")) {
            if (cursor.take("one of")) {
                dial.set("choices", several(values, type));
            } else {
                cursor.need("as found under");
                dial.put("choicesFrom", fields.name(known.personFields(), What.PERSON_FIELD));
            }
        }
        document.withArray("dials").add(dial);
    }

    private static Dial.Type type(Cursor cursor) throws Mistake {
        for (Dial.Type type :
                List.of(Dial.Type.PERIOD, Dial.Type.NUMBER, Dial.Type.DATE, Dial.Type.TEXTS, Dial.Type.TEXT)) {
            if (cursor.take(type.name().toLowerCase(Locale.ROOT))) {
                return type;
            }
        }
        throw cursor.stuck();
    }

    private static ArrayNode several(ValueParser values, Dial.Type type) throws Mistake {
        return values.list(() -> one(values, type));
    }

    /** Periods and dates as they are written in documents or as people say them. */
    private static JsonNode one(ValueParser values, Dial.Type type) throws Mistake {
        return switch (type) {
            case NUMBER -> values.number();
            case PERIOD -> values.isQuoted() ? values.text() : values.period();
            case DATE -> values.isQuoted() ? values.text() : values.date();
            case TEXT, TEXTS -> values.text();
        };
    }
}
