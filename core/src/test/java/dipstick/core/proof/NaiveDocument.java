package dipstick.core.proof;

import dipstick.core.Outcome;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A document of criteria.md section 4 answered for one person at a time, straight from the JSON. */
final class NaiveDocument {
    private static final String NEVER = "never";

    private final LocalDate asOf;
    private final JsonNode document;
    private final NaiveEvaluator tests;

    /** @param sets the sets that it may name */
    NaiveDocument(JsonNode document, Map<String, NaiveDocument> sets, LocalDate asOf) {
        this.asOf = asOf;
        this.document = dialled(document);
        this.tests = new NaiveEvaluator(
                asOf,
                RandomDocuments.byId(document.get("termSets")),
                RandomDocuments.byId(document.get("rosters")),
                sets);
    }

    /** Its dials replaced by their defaults in the text of the document. */
    private static JsonNode dialled(JsonNode document) {
        String text = document.toString();
        for (JsonNode dial : document.get("dials")) {
            text = text.replace(
                    "{\"dial\":\"" + dial.get("name").asString() + "\"}",
                    dial.get("default").toString());
        }
        return JsonMapper.shared().readTree(text);
    }

    boolean isInPopulation(Row person) {
        if (document.path("population").asString("living").equals("everyone")) {
            return true;
        }
        boolean deceased = NormalText.of(person.cell("status").orElse("")).equals("deceased");
        return !deceased
                && person.cell("deceased_on")
                        .map(day -> NaiveDays.days(day).first().isAfter(asOf))
                        .orElse(true);
    }

    /** What the tests of a section's criteria answer by themselves, in their order; criteria that are off are not there. */
    List<Outcome> alone(String section, Row person, List<Row> events) {
        List<Outcome> alone = new ArrayList<>();
        for (JsonNode criterion : criteria(section)) {
            alone.add(isInPopulation(person) ? tests.answer(criterion.get("test"), person, events) : Outcome.NO);
        }
        return alone;
    }

    /** What a section's criteria answer, with what can't tell becomes. */
    private List<Outcome> settled(String section, Row person, List<Row> events) {
        List<Outcome> settled = new ArrayList<>();
        for (JsonNode criterion : criteria(section)) {
            Outcome outcome = tests.answer(criterion.get("test"), person, events);
            String unsure = criterion.path("unsure").asString("ask");
            settled.add(
                    outcome != Outcome.UNSURE || unsure.equals("ask")
                            ? outcome
                            : unsure.equals("meets") ? Outcome.YES : Outcome.NO);
        }
        return settled;
    }

    private List<JsonNode> criteria(String section) {
        JsonNode all = section.equals("shouldHave") ? document.path(section).path("of") : document.path(section);
        return all.valueStream()
                .filter(criterion -> !criterion.path("off").asBoolean(false))
                .toList();
    }

    /** Who is left after each include and exclude criterion. */
    List<Outcome> remaining(Row person, List<Row> events) {
        Outcome left = isInPopulation(person) ? Outcome.YES : Outcome.NO;
        List<Outcome> remaining = new ArrayList<>();
        for (Outcome met : settled("include", person, events)) {
            left = NaiveLogic.and(left, met);
            remaining.add(left);
        }
        for (Outcome exempt : settled("exclude", person, events)) {
            left = NaiveLogic.and(left, NaiveLogic.not(exempt));
            remaining.add(left);
        }
        return remaining;
    }

    Outcome part(String part, Row person, List<Row> events) {
        return switch (part) {
            case "eligible" -> eligible(person, events);
            case "has" -> has(person, events);
            default -> list(person, events);
        };
    }

    private Outcome eligible(Row person, List<Row> events) {
        List<Outcome> remaining = remaining(person, events);
        if (remaining.isEmpty()) {
            return isInPopulation(person) ? Outcome.YES : Outcome.NO;
        }
        return remaining.getLast();
    }

    private Outcome has(Row person, List<Row> events) {
        List<Outcome> each = settled("shouldHave", person, events);
        if (each.isEmpty() || !isInPopulation(person)) {
            return Outcome.NO;
        }
        JsonNode rule = document.get("shouldHave").get("rule");
        int wanted = rule.isString()
                ? (rule.asString().equals("any") ? 1 : each.size())
                : rule.get("atLeast").asInt();
        return NaiveLogic.atLeast(
                wanted, NaiveLogic.count(each, o -> o == Outcome.YES), NaiveLogic.count(each, o -> o != Outcome.NO));
    }

    Outcome list(Row person, List<Row> events) {
        Outcome eligible = eligible(person, events);
        return criteria("shouldHave").isEmpty()
                ? eligible
                : NaiveLogic.and(eligible, NaiveLogic.not(has(person, events)));
    }

    /** The due date as it is written to a list: a day, never, or nothing. */
    String due(Row person, List<Row> events) {
        JsonNode rule = document.path("shouldHave").path("rule");
        if (!rule.isString() && rule.path("atLeast").asInt(-1) == 0) {
            return "";
        }
        // "never" sorts before every day here, as it counts as the earliest lapse.
        List<String> lapses = criteria("shouldHave").stream()
                .map(criterion -> criterion.get("test"))
                .filter(NaiveDocument::isRenewable)
                .map(test -> lapse(test, person, events))
                .sorted()
                .toList();
        if (lapses.isEmpty()) {
            return "";
        }
        String due = rule.isString()
                ? (rule.asString().equals("any") ? lapses.getLast() : lapses.getFirst())
                : lapses.get(Math.max(0, lapses.size() - rule.get("atLeast").asInt()));
        return due.isEmpty() ? NEVER : due;
    }

    private static boolean isRenewable(JsonNode test) {
        boolean counted = test.path("count").isMissingNode()
                || test.get("count").path("atLeast").asInt(0) > 0;
        return test.has("events")
                && test.get("events").path("window").has("last")
                && counted
                && test.path("per").asString("record").equals("record");
    }

    /** The day of a lapse, or an empty text where it was never met. */
    private String lapse(JsonNode test, Row person, List<Row> events) {
        List<LocalDate> days = tests.selections().lastDaysOfMatches(test.get("events"), person, events);
        int wanted = test.path("count").path("atLeast").asInt(1);
        return days.size() < wanted
                ? ""
                : NaiveDays.lapse(
                                days.get(days.size() - wanted),
                                test.get("events").get("window").get("last").asString())
                        .toString();
    }

    /** The name of the first band that fits; empty where none does. */
    String band(Row person, List<Row> events) {
        String due = due(person, events);
        return document.get("bands")
                .valueStream()
                .filter(band -> fits(band.get("when"), due, person, events))
                .map(band -> band.get("name").asString())
                .limit(1)
                .collect(Collectors.joining());
    }

    private boolean fits(JsonNode when, String due, Row person, List<Row> events) {
        if (!when.has("overdue")) {
            return tests.answer(when, person, events) == Outcome.YES;
        }
        JsonNode overdue = when.get("overdue");
        if (overdue.isString()) {
            return due.equals(NEVER);
        }
        LocalDate by = NaiveDays.less(asOf, overdue.get("atLeast").asString());
        return !due.isEmpty() && !due.equals(NEVER) && !LocalDate.parse(due).isAfter(by);
    }
}
