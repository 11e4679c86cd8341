package dipstick.core.proof;

import static dipstick.core.proof.NaiveLogic.and;
import static dipstick.core.proof.NaiveLogic.atLeast;
import static dipstick.core.proof.NaiveLogic.count;
import static dipstick.core.proof.NaiveLogic.not;

import dipstick.core.Outcome;
import dipstick.core.proof.NaiveDays.Days;
import dipstick.core.proof.NaiveSelections.Match;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.time.Period;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/**
 * The tests of criteria.md section 3 answered row by row, day by day, straight from the JSON and the texts of the cells.
 * It shares no evaluation with the engine, so that the two agree only where both follow the page. Slow on purpose.
 */
final class NaiveEvaluator {
    private final LocalDate asOf;
    private final NaiveDays days;
    private final NaiveFields fields;
    private final NaiveSelections selections;
    private final Map<String, JsonNode> rosters;
    private final Map<String, NaiveDocument> sets;

    /** A person, or an event, as its cells; a missing cell is not there. */
    record Row(Map<String, String> cells) {
        Optional<String> cell(String field) {
            return Optional.ofNullable(cells.get(field)).filter(text -> !text.isBlank());
        }
    }

    NaiveEvaluator(
            LocalDate asOf,
            Map<String, JsonNode> termSets,
            Map<String, JsonNode> rosters,
            Map<String, NaiveDocument> sets) {
        this.asOf = asOf;
        this.days = new NaiveDays(asOf);
        this.fields = new NaiveFields(days);
        this.selections = new NaiveSelections(asOf, termSets, days, fields);
        this.rosters = rosters;
        this.sets = sets;
    }

    NaiveSelections selections() {
        return selections;
    }

    Outcome answer(JsonNode test, Row person, List<Row> events) {
        if (test.has("field")) {
            return fields.field(test, person.cell(test.get("field").asString()), person, false);
        }
        if (test.has("all")) {
            return each(test.get("all"), person, events).stream().reduce(Outcome.YES, NaiveLogic::and);
        }
        if (test.has("any")) {
            return not(each(test.get("any"), person, events).stream()
                    .map(NaiveLogic::not)
                    .reduce(Outcome.YES, NaiveLogic::and));
        }
        if (test.has("not")) {
            return not(answer(test.get("not"), person, events));
        }
        if (test.has("of")) {
            List<Outcome> each = each(test.get("of"), person, events);
            return atLeast(
                    test.get("atLeast").asInt(), count(each, o -> o == Outcome.YES), count(each, o -> o != Outcome.NO));
        }
        if (test.has("age")) {
            return days.age(test.get("age"), person);
        }
        if (test.has("events")) {
            List<Match> matches = selections.matches(test.get("events"), person, events, "ever");
            return counted(test, matches);
        }
        if (test.has("latest") || test.has("earliest")) {
            return picked(test, person, events);
        }
        if (test.has("member")) {
            NaiveDocument set = sets.get(test.get("member").asString());
            return set.part(test.path("part").asString("list"), person, events);
        }
        if (test.has("roster")) {
            return fields.inRoster(rosters.get(test.get("roster").asString()), person);
        }
        return followed(test, person, events);
    }

    private List<Outcome> each(JsonNode tests, Row person, List<Row> events) {
        return tests.valueStream().map(test -> answer(test, person, events)).toList();
    }

    private Outcome counted(JsonNode test, List<Match> matches) {
        String per = test.path("per").asString("record");
        List<Match> certain =
                matches.stream().filter(match -> match.outcome() == Outcome.YES).toList();
        int low = certain.size();
        int high = matches.size();
        if (!per.equals("record")) {
            low = Math.max(different(certain, per).size(), certain.isEmpty() ? 0 : 1);
            long inexact =
                    matches.stream().filter(match -> key(match, per).isEmpty()).count();
            high = different(matches, per).size() + (int) inexact;
        }
        JsonNode count = test.path("count");
        if (count.has("none") || count.has("atMost")) {
            return not(atLeast(count.path("atMost").asInt(0) + 1, low, high));
        }
        if (count.has("exactly")) {
            int n = count.get("exactly").asInt();
            return and(atLeast(n, low, high), not(atLeast(n + 1, low, high)));
        }
        return atLeast(count.path("atLeast").asInt(1), low, high);
    }

    private Set<String> different(List<Match> matches, String per) {
        Set<String> keys = new HashSet<>();
        matches.forEach(match -> key(match, per).ifPresent(keys::add));
        return keys;
    }

    private Optional<String> key(Match match, String per) {
        return per.equals("day")
                ? days.on(match.event())
                        .filter(Days::isExact)
                        .map(range -> range.first().toString())
                : match.event().cell("code").map(NormalText::of);
    }

    // Latest, earliest and sequences.

    private Days range(Row event) {
        return days.on(event).orElse(new Days(NaiveDays.FIRST_DAY, asOf));
    }

    private Outcome agreed(List<Match> matches, boolean latest, Function<Row, Outcome> answer) {
        if (matches.isEmpty()) {
            return Outcome.NO;
        }
        Set<Outcome> answers = new HashSet<>();
        if (matches.stream().noneMatch(match -> match.outcome() == Outcome.YES)) {
            answers.add(Outcome.NO);
        }
        for (Match one : matches) {
            boolean beaten = matches.stream()
                    .filter(other -> other.outcome() == Outcome.YES)
                    .anyMatch(other -> latest
                            ? range(other.event())
                                    .first()
                                    .isAfter(range(one.event()).last())
                            : range(other.event())
                                    .last()
                                    .isBefore(range(one.event()).first()));
            if (!beaten) {
                answers.add(answer.apply(one.event()));
            }
        }
        return answers.size() == 1 ? answers.iterator().next() : Outcome.UNSURE;
    }

    private Outcome picked(JsonNode test, Row person, List<Row> events) {
        boolean latest = test.has("latest");
        List<Match> matches = selections.matches(test.get(latest ? "latest" : "earliest"), person, events, "ever");
        return agreed(
                matches,
                latest,
                event -> test.get("is")
                        .valueStream()
                        .map(one -> selections.where(one, person, event))
                        .reduce(Outcome.YES, NaiveLogic::and));
    }

    // The anchor event itself is not counted; another that looks the same is.
    @SuppressWarnings("ReferenceEquality")
    private Outcome followed(JsonNode test, Row person, List<Row> events) {
        List<Match> anchors = selections.matches(test.get("after"), person, events, "ever");
        Function<Row, Outcome> answer = anchor -> {
            List<Match> inTime = new ArrayList<>();
            for (Match match : selections.matches(test.get("expect"), person, events, "any")) {
                Outcome outcome = and(match.outcome(), inTime(test, anchor, match.event()));
                if (match.event() != anchor && outcome != Outcome.NO) {
                    inTime.add(new Match(match.event(), outcome));
                }
            }
            return counted(test, inTime);
        };
        String pick = test.path("pick").asString("latest");
        if (anchors.isEmpty()) {
            return Outcome.NO;
        }
        return switch (pick) {
            case "any" ->
                not(anchors.stream()
                        .map(anchor -> not(and(anchor.outcome(), answer.apply(anchor.event()))))
                        .reduce(Outcome.YES, NaiveLogic::and));
            case "each" ->
                anchors.stream()
                        .map(anchor -> not(and(anchor.outcome(), not(answer.apply(anchor.event())))))
                        .reduce(Outcome.YES, NaiveLogic::and);
            default -> agreed(anchors, pick.equals("latest"), answer);
        };
    }

    private Outcome inTime(JsonNode test, Row anchor, Row event) {
        if (days.on(anchor).isEmpty() || days.on(event).isEmpty()) {
            return Outcome.UNSURE;
        }
        Period notBefore = Period.parse(test.path("notBefore").asString("P0D"));
        Period within = Period.parse(test.get("within").asString());
        Days a = range(anchor);
        Days e = range(event);
        if (!e.first().isBefore(a.last().plus(notBefore))
                && !e.last().isAfter(a.first().plus(within))) {
            return Outcome.YES;
        }
        boolean outside = e.last().isBefore(a.first().plus(notBefore))
                || e.first().isAfter(a.last().plus(within));
        return outside ? Outcome.NO : Outcome.UNSURE;
    }
}
