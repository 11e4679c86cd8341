package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import dipstick.core.time.CalendarPeriod;
import dipstick.core.typed.Expected.What;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads windows and ages (criteria.md section 2). */
final class WindowParser {
    private static final long LONGEST_MONTH = 31;
    private static final long SHORTEST_MONTH = 28;

    private static final List<String> AGE_UNITS = List.of("years", "months", "weeks", "days");

    private final Cursor cursor;
    private final ValueParser values;

    WindowParser(Cursor cursor, ValueParser values) {
        this.cursor = cursor;
        this.values = values;
    }

    /** The window that stands here, if one does. */
    Optional<ObjectNode> window() throws Mistake {
        Optional<ObjectNode> window = bare();
        cursor.passRemark();
        return window;
    }

    /** As {@link #window}, where there must be one. */
    ObjectNode needed() throws Mistake {
        Optional<ObjectNode> window = window();
        if (window.isEmpty()) {
            throw cursor.stuck();
        }
        return window.get();
    }

    /** Whether the words here begin a window, though "in" begins other things too. */
    boolean isNext() {
        return cursor.isNext("in the last") || cursor.isNext("in the next") || cursor.isNext("in last") || isYear();
    }

    private Optional<ObjectNode> bare() throws Mistake {
        ObjectNode window = JSON.objectNode();
        if (cursor.take("in the last") || cursor.skip("in last") || cursor.skip("within the last")) {
            return Optional.of(window.set("last", values.period()));
        }
        if (cursor.take("in the next") || cursor.skip("within the next")) {
            return Optional.of(window.set("next", values.period()));
        }
        if (cursor.take("today")) {
            return Optional.of(window.put("last", "P0D"));
        }
        if (cursor.take("yesterday")) {
            return Optional.of(window.set("ago", JSON.arrayNode().add("P1D").add("P1D")));
        }
        if (cursor.take("at any time, past or ahead")) {
            return Optional.of(window.put("any", true));
        }
        if (cursor.take("at any time") || cursor.skip("ever")) {
            return Optional.of(window.put("ever", true));
        }
        if (cursor.take("since the start of the")) {
            return Optional.of(window.put("sinceStartOf", startOf()));
        }
        if (cursor.take("at age") || cursor.skip("between age") || cursor.skip("between ages")) {
            return Optional.of(window.set("atAge", ages()));
        }
        if (cursor.take("between")) {
            JsonNode from = values.period();
            cursor.need("and");
            JsonNode to = values.period();
            cursor.need("ago");
            boolean turned = isShorter(from, to);
            return Optional.of(
                    window.set("ago", JSON.arrayNode().add(turned ? to : from).add(turned ? from : to)));
        }
        Optional<ObjectNode> longAgo = longAgo();
        return longAgo.isPresent() ? longAgo : dates().map(ends -> window.set("dates", ends));
    }

    /** Of two periods that no dial stands for: whether it is from every day. */
    private static boolean isShorter(JsonNode one, JsonNode other) {
        return one.isString() && other.isString() && days(one, LONGEST_MONTH) < days(other, SHORTEST_MONTH);
    }

    private static long days(JsonNode period, long ofMonth) {
        return CalendarPeriod.parse(period.stringValue())
                .map(parsed -> parsed.months() * ofMonth + parsed.days())
                .orElse(0L);
    }

    /** "6 months or more ago". */
    private Optional<ObjectNode> longAgo() throws Mistake {
        int mark = cursor.mark();
        if (values.isPeriod()) {
            JsonNode period = values.period();
            if (cursor.take("or more ago")) {
                return Optional.of(JSON.objectNode()
                        .set("ago", JSON.arrayNode().add("P150Y").add(period)));
            }
        }
        cursor.back(mark);
        return Optional.empty();
    }

    private String startOf() throws Mistake {
        for (String unit : List.of("year", "quarter", "month", "week")) {
            if (cursor.take(unit)) {
                return unit;
            }
        }
        throw cursor.stuck();
    }

    private Optional<ArrayNode> dates() throws Mistake {
        JsonNode open = JSON.nullNode();
        if (cursor.take("on any day")) {
            return Optional.of(JSON.arrayNode().add(open).add(open));
        }
        if (cursor.take("up to")) {
            return Optional.of(JSON.arrayNode().add(open).add(values.date()));
        }
        if (cursor.skip("since")) {
            return Optional.of(JSON.arrayNode().add(values.date()).add(open));
        }
        if (cursor.take("from")) {
            JsonNode from = values.date();
            if (cursor.take("on")) {
                return Optional.of(JSON.arrayNode().add(from).add(open));
            }
            cursor.need("to");
            return Optional.of(JSON.arrayNode().add(from).add(values.date()));
        }
        if (isYear()) {
            cursor.pass(1);
            JsonNode year = values.date();
            return Optional.of(JSON.arrayNode().add(year).add(year));
        }
        return Optional.empty();
    }

    private boolean isYear() {
        int mark = cursor.mark();
        boolean year = cursor.skip("in") && cursor.peek().matches("\\d{4}");
        cursor.back(mark);
        return year;
    }

    /** "50 to 74", "6 months or over", "under 5". */
    ObjectNode ages() throws Mistake {
        ObjectNode ages = JSON.objectNode();
        if (cursor.skip("under")) {
            JsonNode first = values.number();
            if (first.isNumber() && first.longValue() > 0) {
                ages.put("through", first.intValue() - 1);
                unit(ages);
                return ages;
            }
            throw cursor.stuck();
        }
        boolean between = cursor.skip("between");
        JsonNode first = values.number();
        unit(ages);
        if (between) {
            cursor.need("and");
            ages.set("from", first);
            ages.set("through", values.number());
        } else if (cursor.take("or over")) {
            ages.set("from", first);
        } else if (cursor.take("or under")) {
            ages.set("through", first);
        } else if (cursor.take("to") || cursor.skip("and")) {
            ages.set("from", first);
            ages.set("through", values.number());
        } else {
            throw cursor.stuck();
        }
        unit(ages);
        return ages;
    }

    private void unit(ObjectNode ages) {
        for (String unit : AGE_UNITS) {
            cursor.expect(unit, What.WORDS);
            if (cursor.skip(unit) || cursor.skip(unit.substring(0, unit.length() - 1))) {
                if (!unit.equals("years")) {
                    ages.put("unit", unit);
                }
                return;
            }
        }
    }
}
