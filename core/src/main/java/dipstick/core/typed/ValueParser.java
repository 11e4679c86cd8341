package dipstick.core.typed;

import dipstick.core.criteria.Dial;
import dipstick.core.text.WrittenNumber;
import dipstick.core.time.PartialDate;
import dipstick.core.typed.Expected.What;
import dipstick.core.wording.Quoted;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Reads values: numbers, dates, periods and texts, for each of which a dial may stand. */
final class ValueParser {
    static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

    private static final Map<String, String> UNITS = Map.of(
            "year", "Y", "years", "Y", "month", "M", "months", "M", "week", "W", "weeks", "W", "day", "D", "days", "D");

    private final Cursor cursor;
    private final Vocabulary vocabulary;

    ValueParser(Cursor cursor, Vocabulary vocabulary) {
        this.cursor = cursor;
        this.vocabulary = vocabulary;
    }

    /** A dial of this type, where one stands here. */
    Optional<JsonNode> dial(Dial.Type type) throws Mistake {
        vocabulary.dials().stream()
                .filter(dial -> dial.type() == type)
                .forEach(dial -> cursor.expect(Quoted.dial(dial.name()), What.DIAL));
        if (!cursor.isKind(Token.Kind.DIAL)) {
            return Optional.empty();
        }
        int mark = cursor.mark();
        String name = cursor.takeKind(Token.Kind.DIAL).text();
        Optional<Vocabulary.DialName> dial = vocabulary.dials().stream()
                .filter(one -> one.name().equals(name))
                .findFirst();
        if (dial.isEmpty()) {
            throw cursor.wrong(mark, "There is no dial “" + name + "” in this set.");
        }
        if (dial.get().type() != type) {
            cursor.back(mark);
            return Optional.empty();
        }
        return Optional.of(JSON.objectNode().put("dial", name));
    }

    boolean isNumber() {
        return WrittenNumber.parse(cursor.peek()).isPresent() || cursor.isKind(Token.Kind.DIAL);
    }

    JsonNode number() throws Mistake {
        Optional<JsonNode> dial = dial(Dial.Type.NUMBER);
        if (dial.isPresent()) {
            return dial.get();
        }
        cursor.expect("1", What.NUMBER);
        OptionalDouble number = WrittenNumber.parse(cursor.peek());
        if (number.isEmpty()) {
            throw cursor.stuck();
        }
        cursor.pass(1);
        double value = number.getAsDouble();
        return value == Math.rint(value) && Math.abs(value) < Integer.MAX_VALUE
                ? JSON.numberNode((int) value)
                : JSON.numberNode(value);
    }

    /** Whether a stretch of time with its amount stands here, or a dial. */
    boolean isPeriod() {
        int mark = cursor.mark();
        boolean amount = cursor.peek().matches("\\d+");
        cursor.pass(1);
        boolean period = amount && UNITS.containsKey(cursor.peek());
        cursor.back(mark);
        return period || cursor.isKind(Token.Kind.DIAL);
    }

    /** A stretch of time, as an ISO 8601 period. */
    JsonNode period() throws Mistake {
        Optional<JsonNode> dial = dial(Dial.Type.PERIOD);
        if (dial.isPresent()) {
            return dial.get();
        }
        String amount = cursor.peek().matches("\\d+") ? cursor.peek() : "12";
        List.of("months", "years", "weeks", "days").forEach(unit -> cursor.expect(amount + " " + unit, What.PERIOD));
        cursor.skip("a");
        if (UNITS.containsKey(cursor.peek())) {
            String unit = UNITS.get(cursor.peek());
            cursor.pass(1);
            return JSON.stringNode("P1" + unit);
        }
        Map<Integer, String> parts = new TreeMap<>();
        while (cursor.peek().matches("\\d+")) {
            String digits = cursor.peek();
            cursor.pass(1);
            UNITS.keySet().stream()
                    .filter(unit -> unit.endsWith("s"))
                    .sorted()
                    .forEach(unit -> cursor.expect(unit, What.WORDS));
            String unit = UNITS.get(cursor.peek());
            if (unit == null || parts.put("YMWD".indexOf(unit), digits + unit) != null) {
                throw cursor.stuck();
            }
            cursor.pass(1);
        }
        if (parts.isEmpty()) {
            throw cursor.stuck();
        }
        return JSON.stringNode("P" + String.join("", parts.values()));
    }

    /** A day, a month or a year. */
    JsonNode date() throws Mistake {
        Optional<JsonNode> dial = dial(Dial.Type.DATE);
        if (dial.isPresent()) {
            return dial.get();
        }
        cursor.expect("1 Jan 2026", What.DATE);
        int mark = cursor.mark();
        String day = "";
        if (cursor.peek().matches("\\d{1,2}")) {
            day = "-" + "0".repeat(2 - cursor.peek().length()) + cursor.peek();
            cursor.pass(1);
        }
        String month = "";
        int named = monthNamed(cursor.peek());
        if (named > 0) {
            month = (named < 10 ? "-0" : "-") + named;
            cursor.pass(1);
        }
        String written = cursor.peek().toUpperCase(Locale.ROOT) + month + day;
        boolean dayOfMonth = day.isEmpty() || !month.isEmpty();
        if (dayOfMonth && PartialDate.parse(written, ZoneOffset.UTC).isPresent()) {
            cursor.pass(1);
            return JSON.stringNode(written);
        }
        if (!day.isEmpty() && !month.isEmpty() && cursor.peek().matches("\\d{4}")) {
            cursor.pass(1);
            throw cursor.wrong(mark, "There is no such day.");
        }
        cursor.back(mark);
        throw cursor.stuck();
    }

    private static int monthNamed(String word) {
        return word.length() < 3 || !Character.isLetter(word.charAt(0)) ? 0 : MONTHS.indexOf(word.substring(0, 3)) + 1;
    }

    /** A text; one that is not quoted ends before the next word of the language. */
    JsonNode text() throws Mistake {
        Optional<JsonNode> dial = dial(Dial.Type.TEXT);
        if (dial.isPresent()) {
            return dial.get();
        }
        return JSON.stringNode(plainText());
    }

    boolean isQuoted() {
        return cursor.isKind(Token.Kind.QUOTED);
    }

    String plainText() throws Mistake {
        if (cursor.isKind(Token.Kind.QUOTED)) {
            return cursor.takeKind(Token.Kind.QUOTED).text();
        }
        String text = cursor.run(Quoted::isReserved);
        if (text.isEmpty()) {
            throw cursor.stuck(
                    Quoted.isReserved(cursor.peek()) && cursor.isKind(Token.Kind.WORD)
                            ? " A text with a word such as “" + cursor.peek()
                                    + "” in it stands between quotation marks."
                            : "");
        }
        return text;
    }

    /** Reads one item of a list. */
    interface Item {
        JsonNode read() throws Mistake;
    }

    /** "a, b or c", or the words for none. */
    ArrayNode list(Item item) throws Mistake {
        ArrayNode list = JSON.arrayNode();
        if (cursor.skip("( nothing chosen )")) {
            return list;
        }
        do {
            list.add(item.read());
        } while (another());
        return list;
    }

    /** Whether a list goes on, past what separates its items. */
    boolean another() {
        for (String end : List.of(", on different days", ", of different codes", ", past or ahead")) {
            if (cursor.isNext(end)) {
                return false;
            }
        }
        return cursor.takeAny("or", ",");
    }
}
