package dipstick.core.typed;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Dial;
import dipstick.core.criteria.ListColumn;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.Test;
import dipstick.core.time.CalendarPeriod;
import dipstick.core.wording.ColumnWords;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.FieldWords;
import dipstick.core.wording.Quoted;
import dipstick.core.wording.SentencePrinter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** Prints a whole criteria set as text that {@link SetTextReader} reads back (docs/typed-criteria.md). */
public final class SetText {
    private static final int WIDTH = 100;

    private final JsonNode document;
    private final CriteriaSet set;
    private final Set<String> sharedNames;
    private final StringBuilder out = new StringBuilder();

    private SetText(JsonNode document, CriteriaSet set, Set<String> sharedNames) {
        this.document = document;
        this.set = set;
        this.sharedNames = sharedNames;
    }

    /**
     * @param document the set as it is written, which names its dials
     * @param set the same, read
     * @param sharedNames as {@link Vocabulary#sharedNames} says
     */
    public static String of(JsonNode document, CriteriaSet set, Set<String> sharedNames) {
        return new SetText(document, set, sharedNames).print();
    }

    private String print() {
        line(Heading.words(set.name()));
        if (!set.purpose().isEmpty()) {
            for (String text : set.purpose().split("\n", -1)) {
                line(("> " + Heading.words(text)).strip());
            }
        }
        if (set.population() == CriteriaSet.Population.EVERYONE) {
            line("");
            line(Heading.EVERYONE);
        }
        section(Heading.INCLUDE, set.include(), document.path("include"));
        section(Heading.EXCLUDE, set.exclude(), document.path("exclude"));
        set.shouldHave().ifPresent(this::shouldHave);
        bands();
        shown();
        dials();
        termSets();
        rosters();
        return out.toString();
    }

    private void section(String heading, List<Criterion> criteria, JsonNode list) {
        if (criteria.isEmpty()) {
            return;
        }
        line("");
        line(heading);
        for (int i = 0; i < criteria.size(); i++) {
            criterion(criteria.get(i), list.path(i));
        }
    }

    private void shouldHave(ShouldHave should) {
        JsonNode json = document.path("shouldHave");
        String rule = switch (should.rule()) {
            case ShouldHave.Rule.Any _ -> "any";
            case ShouldHave.Rule.All _ -> "all";
            case ShouldHave.Rule.AtLeast(int count) ->
                "at least " + dialOr(json.path("rule").path("atLeast"), String.valueOf(count));
        };
        line("");
        line(Heading.SHOULD_HAVE + " " + rule + " of these");
        for (int i = 0; i < should.of().size(); i++) {
            criterion(should.of().get(i), json.path("of").path(i));
        }
    }

    private void criterion(Criterion criterion, JsonNode json) {
        String unsure = switch (criterion.unsure()) {
            case ASK -> "";
            case MEETS -> "; can’t tell counts as yes";
            case FAILS -> "; can’t tell counts as no";
        };
        line("- " + (criterion.off() ? "(off) " : "")
                + criterion.label().map(label -> quoted(label) + ": ").orElse("")
                + test(criterion.test(), json.path("test")) + unsure);
    }

    private String test(Test test, JsonNode json) {
        return SentencePrinter.undated(test, json, sharedNames).lines(WIDTH, "  ");
    }

    private void bands() {
        if (set.bands().isEmpty()) {
            return;
        }
        line("");
        line(Heading.BANDS);
        for (int i = 0; i < set.bands().size(); i++) {
            Band band = set.bands().get(i);
            JsonNode when = document.path("bands").path(i).path("when");
            String words =
                    SentencePrinter.undated(band.when(), when, sharedNames).lines(WIDTH, "  ");
            line("- " + Quoted.value(band.name()) + ": " + words);
        }
    }

    private void shown() {
        if (!set.show().isEmpty()) {
            line("");
            line(Heading.SHOW + " " + set.show().stream().map(this::column).collect(Collectors.joining(", ")));
        }
        if (!set.order().isEmpty()) {
            line("");
            line(Heading.ORDER + " "
                    + set.order().stream()
                            .map(order -> column(order.by()) + (order.descending() ? " from last to first" : ""))
                            .collect(Collectors.joining(", ")));
        }
        set.top().ifPresent(top -> {
            line("");
            line(Heading.TOP + " " + dialOr(document.path("top"), String.valueOf(top)));
        });
    }

    private String column(ListColumn column) {
        return switch (column) {
            case ListColumn.Named(String name) -> FieldWords.inSentence(name);
            case ListColumn.OfCriterion of ->
                ColumnWords.before(of.figure()) + " "
                        + CriterionPlace.of(of.criterion(), set).words();
        };
    }

    private void dials() {
        if (set.dials().isEmpty()) {
            return;
        }
        line("");
        line(Heading.DIALS);
        for (int i = 0; i < set.dials().size(); i++) {
            Dial dial = set.dials().get(i);
            JsonNode json = document.path("dials").path(i);
            List<String> parts = new ArrayList<>();
            parts.add("- " + Quoted.dial(dial.name())
                    + (json.has("label") ? " " + quoted(dial.label()) : "")
                    + " " + dial.type().name().toLowerCase(Locale.ROOT) + ": "
                    + value(json.path("default"), dial.type()));
            if (json.has("choices")) {
                parts.add("one of " + value(json.get("choices"), dial.type()));
            }
            dial.choicesFrom().ifPresent(field -> parts.add("as found under " + FieldWords.inSentence(field)));
            line(String.join("; ", parts));
        }
    }

    /** A value of a dial, or several of them. */
    private static String value(JsonNode json, Dial.Type type) {
        if (json.isArray()) {
            return json.isEmpty()
                    ? "(nothing chosen)"
                    : json.valueStream().map(item -> value(item, type)).collect(Collectors.joining(", "));
        }
        return switch (type) {
            case NUMBER -> FieldWords.number(json.doubleValue());
            case PERIOD ->
                CalendarPeriod.parse(json.asString("")).map(DayWords::period).orElse("");
            case DATE, TEXT, TEXTS -> Quoted.value(json.asString(""));
        };
    }

    private void termSets() {
        for (JsonNode termSet : document.path("termSets")) {
            line("");
            line(Heading.TERM_SET + " " + named(termSet));
            termSet.path("members").forEach(member -> line("  " + member(member)));
        }
    }

    private static String member(JsonNode member) {
        if (member.has("code")) {
            return "code " + textOf(member.get("code"))
                    + (member.has("system") ? " of " + textOf(member.get("system")) : "");
        }
        if (member.has("keyword")) {
            return "keyword " + textOf(member.get("keyword"));
        }
        String match = switch (member.path("match").asString("is")) {
            case "startsWith" -> "starting with ";
            case "contains" -> "containing ";
            default -> "";
        };
        return "text " + match + textOf(member.path("text"));
    }

    private void rosters() {
        for (JsonNode roster : document.path("rosters")) {
            line("");
            line(Heading.ROSTER + " " + named(roster) + ": "
                    + fields(roster.path("key")
                            .valueStream()
                            .map(JsonNode::stringValue)
                            .toList()));
            for (JsonNode row : roster.path("rows")) {
                line("  "
                        + row.valueStream()
                                .map(cell -> cell.isNull() ? "blank" : Quoted.value(cell.asString()))
                                .collect(Collectors.joining(", ")));
            }
        }
    }

    /** The name, and the id where it is not the one that the name would be given. */
    private String named(JsonNode json) {
        String id = json.path("id").stringValue();
        String name = json.path("name").asString(id);
        return Quoted.value(name)
                + (sharedNames.contains(name) || !id.equals(Slug.of(name)) ? "#" + Quoted.value(id) : "");
    }

    private static String fields(List<String> fields) {
        return fields.stream().map(FieldWords::inSentence).collect(Collectors.joining(", "));
    }

    private static String textOf(JsonNode json) {
        return dialOr(json, Quoted.value(json.asString("")));
    }

    private static String dialOr(JsonNode json, String filledIn) {
        return json.path("dial").isString() ? Quoted.dial(json.get("dial").stringValue()) : filledIn;
    }

    private static String quoted(String text) {
        return Quoted.always(text);
    }

    private void line(String text) {
        out.append(text).append('\n');
    }
}
