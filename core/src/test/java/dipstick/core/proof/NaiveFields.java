package dipstick.core.proof;

import static dipstick.core.proof.NaiveDays.holds;
import static dipstick.core.proof.NaiveDays.overDays;
import static dipstick.core.proof.NaiveLogic.and;
import static dipstick.core.proof.NaiveLogic.not;

import dipstick.core.Outcome;
import dipstick.core.proof.NaiveDays.Days;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** Tests of fields, and rosters (criteria.md section 3). */
final class NaiveFields {
    private static final Set<String> DATE_FIELDS =
            Set.of("birth_date", "deceased_on", "seen", "on", "until", "recorded_on", "reviewed");

    private final NaiveDays days;

    NaiveFields(NaiveDays days) {
        this.days = days;
    }

    Outcome inRoster(JsonNode roster, Row person) {
        Outcome noRow = Outcome.YES;
        for (JsonNode row : roster.get("rows")) {
            Outcome isRow = Outcome.YES;
            for (int i = 0; i < row.size(); i++) {
                String field = roster.get("key").get(i).asString();
                isRow = and(isRow, isEqual(field, row.get(i), person.cell(field)));
            }
            noRow = and(noRow, not(isRow));
        }
        return not(noRow);
    }

    private static Outcome isEqual(String field, JsonNode wanted, Optional<String> cell) {
        if (cell.isEmpty() || wanted.isNull()) {
            return Outcome.UNSURE;
        }
        if (DATE_FIELDS.contains(field)) {
            Days one = NaiveDays.days(cell.get());
            Days other = NaiveDays.days(wanted.asString());
            if (one.isExact() && one.equals(other)) {
                return Outcome.YES;
            }
            boolean apart = one.last().isBefore(other.first()) || other.last().isBefore(one.first());
            return apart ? Outcome.NO : Outcome.UNSURE;
        }
        boolean same = NormalText.of(cell.get()).equals(NormalText.of(wanted.asString()));
        return same ? Outcome.YES : Outcome.NO;
    }

    Outcome field(JsonNode test, Optional<String> cell, Row person, boolean ofEvent) {
        String field = test.get("field").asString();
        if (test.has("missing")) {
            return Outcome.of(cell.isEmpty() == test.get("missing").asBoolean());
        }
        if (DATE_FIELDS.contains(field)) {
            Optional<Days> date = field.equals("on") && ofEvent && cell.isPresent()
                    ? days.on(new Row(Map.of("on", cell.get())))
                    : cell.map(NaiveDays::days);
            return dateField(test, date, person);
        }
        if (cell.isEmpty()) {
            return Outcome.UNSURE;
        }
        if (test.has("is")) {
            return Outcome.of(test.get("is").asBoolean() == cell.get().equals("yes"));
        }
        if (Set.of("frailty", "wait").contains(field) || field.equals("value")) {
            return number(test, Double.parseDouble(cell.get()));
        }
        return texts(test, List.of(cell.get()));
    }

    private Outcome dateField(JsonNode test, Optional<Days> date, Row person) {
        if (test.has("window")) {
            return days.inWindow(test.get("window"), date, person, false);
        }
        if (date.isEmpty()) {
            return Outcome.UNSURE;
        }
        if (test.has("in") || test.has("notIn")) {
            JsonNode list = test.has("in") ? test.get("in") : test.get("notIn");
            Outcome in = overDays(
                    date.get(), day -> list.valueStream().anyMatch(one -> holds(NaiveDays.days(one.asString()), day)));
            return test.has("in") ? in : not(in);
        }
        LocalDate from =
                test.has("from") ? NaiveDays.days(test.get("from").asString()).first() : NaiveDays.FIRST_DAY;
        LocalDate through = test.has("through")
                ? NaiveDays.days(test.get("through").asString()).last()
                : NaiveDays.LAST_DAY;
        return overDays(date.get(), day -> holds(new Days(from, through), day));
    }

    private static Outcome number(JsonNode test, double number) {
        if (test.has("in") || test.has("notIn")) {
            JsonNode list = test.has("in") ? test.get("in") : test.get("notIn");
            return Outcome.of(list.valueStream().anyMatch(one -> one.asDouble() == number) == test.has("in"));
        }
        boolean holds = (!test.has("above") || number > test.get("above").asDouble())
                && (!test.has("atLeast") || number >= test.get("atLeast").asDouble())
                && (!test.has("below") || number < test.get("below").asDouble())
                && (!test.has("atMost") || number <= test.get("atMost").asDouble());
        return Outcome.of(holds);
    }

    /** Several texts hold if any one does; for {@code notIn}, if none is in the list. */
    static Outcome texts(JsonNode test, List<String> texts) {
        List<String> normal = texts.stream().map(NormalText::of).toList();
        if (test.has("notIn")) {
            return Outcome.of(
                    test.get("notIn").valueStream().noneMatch(one -> normal.contains(NormalText.of(one.asString()))));
        }
        if (test.has("in")) {
            return Outcome.of(
                    test.get("in").valueStream().anyMatch(one -> normal.contains(NormalText.of(one.asString()))));
        }
        String part = NormalText.of(
                test.path("startsWith").asString(test.path("contains").asString("")));
        return Outcome.of(
                normal.stream().anyMatch(text -> test.has("startsWith") ? text.startsWith(part) : text.contains(part)));
    }
}
