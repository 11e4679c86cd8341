package dipstick.core.proof;

import static dipstick.core.proof.NaiveDays.overDays;
import static dipstick.core.proof.NaiveFields.texts;
import static dipstick.core.proof.NaiveLogic.and;

import dipstick.core.Outcome;
import dipstick.core.proof.NaiveDays.Days;
import dipstick.core.proof.NaiveEvaluator.Row;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Which events match a selection (criteria.md section 3). */
final class NaiveSelections {
    private static final Set<String> ENDED = Set.of("resolved", "inactive", "remission", "abated");

    private final LocalDate asOf;
    private final Map<String, JsonNode> termSets;
    private final NaiveDays days;
    private final NaiveFields fields;

    NaiveSelections(LocalDate asOf, Map<String, JsonNode> termSets, NaiveDays days, NaiveFields fields) {
        this.asOf = asOf;
        this.termSets = termSets;
        this.days = days;
        this.fields = fields;
    }

    record Match(Row event, Outcome outcome) {}

    List<Match> matches(JsonNode selection, Row person, List<Row> events, String defaultWindow) {
        List<Match> matches = new ArrayList<>();
        for (Row event : events) {
            Outcome outcome = match(selection, person, event, defaultWindow);
            if (outcome != Outcome.NO
                    && !NormalText.of(event.cell("status").orElse("")).equals("entered-in-error")) {
                matches.add(new Match(event, outcome));
            }
        }
        return matches;
    }

    private Outcome match(JsonNode selection, Row person, Row event, String defaultWindow) {
        Outcome all = Outcome.YES;
        if (selection.has("kinds")) {
            all = and(
                    all,
                    Outcome.of(
                            isListed(selection.get("kinds"), event.cell("kind").orElse(""))));
        }
        if (selection.has("terms")) {
            all = and(
                    all,
                    Outcome.of(selection
                            .get("terms")
                            .valueStream()
                            .flatMap(id ->
                                    termSets.get(id.asString()).get("members").valueStream())
                            .anyMatch(member -> isMember(member, event))));
        }
        for (JsonNode test : selection.path("where").values()) {
            all = and(all, where(test, person, event));
        }
        if (selection.has("active")) {
            all = and(all, active(event));
        }
        JsonNode window = selection.has("window")
                ? selection.get("window")
                : JsonNodeFactory.instance.objectNode().put(defaultWindow, true);
        return and(
                all,
                days.inWindow(window, days.on(event), person, event.cell("on").isEmpty()));
    }

    private static boolean isListed(JsonNode list, String text) {
        return list.valueStream().anyMatch(one -> NormalText.of(one.asString()).equals(NormalText.of(text)));
    }

    private static boolean isMember(JsonNode member, Row event) {
        Function<String, String> said = field -> NormalText.of(event.cell(field).orElse(""));
        Function<String, String> asked = key -> NormalText.of(member.path(key).asString(""));
        if (member.has("code")) {
            return (said.apply("code").equals(asked.apply("code"))
                            && (!member.has("system") || said.apply("system").equals(asked.apply("system"))))
                    || Stream.of(event.cell("also_coded").orElse("").split(";"))
                            .map(entry -> (entry + "|").split("\\|", 2))
                            .anyMatch(entry -> NormalText.of(entry[0]).equals(asked.apply("code"))
                                    && (!member.has("system")
                                            || NormalText.of(withoutLastBar(entry[1]))
                                                    .equals(asked.apply("system"))));
        }
        if (member.has("keyword")) {
            return keywords(event).stream().map(NormalText::of).anyMatch(asked.apply("keyword")::equals);
        }
        String text = said.apply("text");
        return !text.isEmpty()
                && switch (member.path("match").asString("is")) {
                    case "startsWith" -> text.startsWith(asked.apply("text"));
                    case "contains" -> text.contains(asked.apply("text"));
                    default -> text.equals(asked.apply("text"));
                };
    }

    private static String withoutLastBar(String system) {
        return system.endsWith("|") ? system.substring(0, system.length() - 1) : system;
    }

    private static List<String> keywords(Row event) {
        return event.cell("keywords").map(cell -> List.of(cell.split(";"))).orElse(List.of());
    }

    Outcome where(JsonNode test, Row person, Row event) {
        String field = test.get("field").asString();
        if (field.equals("keywords")) {
            List<String> words = keywords(event);
            return test.has("missing")
                    ? Outcome.of(words.isEmpty() == test.get("missing").asBoolean())
                    : words.isEmpty() ? Outcome.UNSURE : texts(test, words);
        }
        if (test.has("unit")
                && !NormalText.of(event.cell("unit").orElse(""))
                        .equals(NormalText.of(test.get("unit").asString()))) {
            return Outcome.UNSURE;
        }
        return fields.field(test, event.cell(field), person, true);
    }

    private Outcome active(Row event) {
        Outcome begun = days.on(event)
                .map(range -> overDays(range, day -> !day.isAfter(asOf)))
                .orElse(Outcome.YES);
        Outcome lasting = event.cell("until")
                .map(NaiveDays::days)
                .map(range -> overDays(range, day -> day.isAfter(asOf)))
                .orElse(Outcome.YES);
        boolean over = ENDED.contains(NormalText.of(event.cell("status").orElse("")));
        return and(and(begun, lasting), Outcome.of(!over));
    }

    /** The last days of the dated events that surely match a selection over all days up to the as-of date. */
    List<LocalDate> lastDaysOfMatches(JsonNode selection, Row person, List<Row> events) {
        ObjectNode ever = ((ObjectNode) selection.deepCopy());
        ever.set("window", JsonNodeFactory.instance.objectNode().put("ever", true));
        return matches(ever, person, events, "ever").stream()
                .filter(match -> match.outcome() == Outcome.YES)
                .flatMap(match -> days.on(match.event()).stream())
                .map(Days::last)
                .sorted()
                .toList();
    }
}
