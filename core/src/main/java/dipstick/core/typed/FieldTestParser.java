package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import dipstick.core.criteria.Dial;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.typed.Expected.What;
import dipstick.core.typed.Expected.Within;
import dipstick.core.wording.FieldWords;
import dipstick.core.wording.Quoted;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads tests of fields of people and of records. */
final class FieldTestParser {
    private static final List<String> CONDITIONS =
            List.of("is", "falls", "starts with", "contains", "above", "below", "at least", "at most");

    private final Cursor cursor;
    private final ValueParser values;
    private final WindowParser windows;
    private final Vocabulary vocabulary;

    FieldTestParser(Cursor cursor, ValueParser values, WindowParser windows, Vocabulary vocabulary) {
        this.cursor = cursor;
        this.values = values;
        this.windows = windows;
        this.vocabulary = vocabulary;
    }

    /** A test of a field of the person, where the words here begin one. */
    Optional<ObjectNode> ofPerson() throws Mistake {
        int mark = cursor.mark();
        Optional<Field> field = field(vocabulary.personFields(), What.PERSON_FIELD);
        if (field.isPresent() && (cursor.atEnd() || CONDITIONS.stream().anyMatch(cursor::isNext))) {
            return Optional.of(condition(field.get(), What.PERSON_VALUE, Within.ALL));
        }
        cursor.back(mark);
        return Optional.empty();
    }

    /**
     * One or more tests of a record, with "and" between.
     *
     * @param within which records are tested
     */
    ArrayNode ofEvent(Within within) throws Mistake {
        ArrayNode tests = JSON.arrayNode();
        do {
            Field field = field(vocabulary.eventFields(), What.EVENT_FIELD).orElseThrow(cursor::stuck);
            tests.add(condition(field, What.EVENT_VALUE, within));
        } while (cursor.take("and"));
        return tests;
    }

    /** "above 150" of the record's value, where that is what stands here. */
    Optional<ObjectNode> ofValue() throws Mistake {
        boolean bound =
                List.of("above", "below", "at least", "at most").stream().anyMatch(cursor::isNext);
        return bound
                ? Optional.of(condition(new Field("value", FieldType.NUMBER), What.EVENT_VALUE, Within.ALL))
                : Optional.empty();
    }

    /** The name of one of these fields. */
    String name(List<Field> fields, What what) throws Mistake {
        return field(fields, what).orElseThrow(cursor::stuck).name();
    }

    /** The names of one or more of these fields. */
    ArrayNode names(List<Field> fields, What what) throws Mistake {
        return values.list(() -> JSON.stringNode(name(fields, what)));
    }

    private Optional<Field> field(List<Field> fields, What what) {
        fields.forEach(field -> cursor.expect(FieldWords.inSentence(field.name()), what));
        if (cursor.isKind(Token.Kind.QUOTED)) {
            Optional<Field> quoted = fields.stream()
                    .filter(field -> field.name().equals(cursor.peekText()))
                    .findFirst();
            if (quoted.isPresent()) {
                cursor.pass(1);
            }
            return quoted;
        }
        Optional<Field> longest = fields.stream()
                .filter(field -> lengthOf(field) > 0 && (what == What.EVENT_FIELD || !FieldWords.isTaken(field.name())))
                .max(Comparator.comparingInt(this::lengthOf).thenComparing(this::isExact));
        longest.ifPresent(field -> cursor.pass(lengthOf(field)));
        return longest;
    }

    private int lengthOf(Field field) {
        return Math.max(cursor.lengthOf(FieldWords.name(field.name())), cursor.lengthOf(field.name()));
    }

    private boolean isExact(Field field) {
        return cursor.peekText().equals(FieldWords.name(field.name()));
    }

    private ObjectNode condition(Field field, What value, Within within) throws Mistake {
        ObjectNode test = JSON.objectNode().put("field", field.name());
        if (cursor.take("is blank") || cursor.skip("is missing") || cursor.skip("is empty")) {
            return test.put("missing", true);
        }
        if (cursor.take("is on record")) {
            return test.put("missing", false);
        }
        switch (field.type()) {
            case IDENTIFIER, TEXT, TEXTS -> text(test, field, value, within);
            case NUMBER -> {
                number(test);
                if (value == What.EVENT_VALUE && field.name().equals("value")) {
                    unit(test, within);
                }
            }
            case DATE -> date(test);
            case FLAG -> flag(test);
            case CODINGS -> throw cursor.stuck();
        }
        return test;
    }

    private void text(ObjectNode test, Field field, What value, Within within) throws Mistake {
        for (String form : List.of("startsWith", "contains")) {
            if (cursor.take(form.equals("contains") ? form : "starts with")) {
                cursor.expect("", value, field.name(), within);
                test.set(form, values.text());
                return;
            }
        }
        String operator = operator();
        cursor.expect("", value, field.name(), within);
        Optional<JsonNode> dial = values.dial(Dial.Type.TEXTS);
        test.set(
                operator,
                dial.isPresent()
                        ? dial.get()
                        : values.list(() -> {
                            cursor.expect("", value, field.name(), within);
                            return values.text();
                        }));
    }

    /** "is" or "is not". */
    private String operator() throws Mistake {
        if (cursor.take("is not")) {
            return "notIn";
        }
        cursor.need("is");
        return "in";
    }

    private void number(ObjectNode test) throws Mistake {
        int mark = cursor.mark();
        cursor.take("is");
        if (bound(test, "above", "at least", "atLeast")) {
            int end = cursor.mark();
            if (!cursor.take("and") || !bound(test, "below", "at most", "atMost")) {
                cursor.back(end);
            }
            return;
        }
        if (bound(test, "below", "at most", "atMost")) {
            return;
        }
        cursor.back(mark);
        test.set(operator(), values.list(values::number));
    }

    private boolean bound(ObjectNode test, String outside, String inside, String key) throws Mistake {
        if (cursor.take(outside)) {
            test.set(outside, values.number());
            return true;
        }
        if (cursor.take(inside)) {
            test.set(key, values.number());
            return true;
        }
        return false;
    }

    private void unit(ObjectNode test, Within within) throws Mistake {
        cursor.expect("", What.EVENT_VALUE, "unit", within);
        boolean word = cursor.isKind(Token.Kind.WORD) && !Quoted.isReserved(cursor.peek());
        if (word || cursor.isKind(Token.Kind.QUOTED) || cursor.isKind(Token.Kind.DIAL)) {
            test.set("unit", values.text());
        }
    }

    private void date(ObjectNode test) throws Mistake {
        if (cursor.take("falls")) {
            test.set("window", windows.needed());
            return;
        }
        if (cursor.take("is from")) {
            test.set("from", values.date());
            if (!cursor.take("on")) {
                cursor.need("to");
                test.set("through", values.date());
            }
            return;
        }
        if (cursor.take("is up to")) {
            test.set("through", values.date());
            return;
        }
        test.set(operator(), values.list(values::date));
    }

    private void flag(ObjectNode test) throws Mistake {
        boolean yes = cursor.take("is yes");
        if (!yes) {
            cursor.need("is no");
        }
        test.put("is", yes);
    }
}
