package dipstick.server.templates;

import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.records.Fields;
import dipstick.core.templates.Ask;
import dipstick.core.templates.Template;
import dipstick.core.terms.FoundTerm;
import dipstick.core.terms.Terms;
import dipstick.core.text.NormalText;
import dipstick.server.records.ValueCounts;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.StringNode;

/** What is on record that may be meant by what a template leaves open. */
final class Offered {
    private static final int MOST = 60;

    private final Population records;
    private final Template template;

    Offered(Population records, Template template) {
        this.records = records;
        this.template = template;
    }

    /**
     * Something to choose.
     *
     * @param answer as it goes into the criteria set
     * @param says in words
     * @param also what else is on record of it, as the wording beside a code; empty for nothing
     * @param count of its records, or of the people who have it
     * @param chosen whether it is worded like what is asked for, and on record as what the set looks for
     */
    record MayBeMeant(JsonNode answer, String says, String also, int count, boolean chosen) {}

    List<MayBeMeant> of(Ask ask) {
        return switch (ask) {
            case Ask.Terms terms -> terms(terms);
            case Ask.Values values -> values(values);
        };
    }

    private List<MayBeMeant> terms(Ask.Terms ask) {
        Map<JsonNode, MayBeMeant> found = new LinkedHashMap<>();
        Events events = records.events();
        Set<String> kinds = template.kindsOf(ask);
        for (String word : ask.words()) {
            for (FoundTerm term : Terms.find(events, word)) {
                String sort = switch (term.term().sort()) {
                    case CODE ->
                        "code " + term.term().term()
                                + (term.term().system().isEmpty()
                                        ? ""
                                        : " of " + term.term().system());
                    case TEXT -> "“" + term.term().term() + "”";
                    case KEYWORD -> "keyword “" + term.term().term() + "”";
                };
                found.putIfAbsent(
                        term.term().member(),
                        new MayBeMeant(term.term().member(), sort, term.says(), term.records(), isOf(kinds, term)));
            }
        }
        return found.values().stream()
                .sorted(Comparator.<MayBeMeant>comparingInt(choice -> choice.chosen() ? 1 : 0)
                        .thenComparingInt(MayBeMeant::count)
                        .reversed())
                .limit(MOST)
                .toList();
    }

    /** What is only on record as something of another kind, or as planned or tried, is offered, but hardly meant. */
    private static boolean isOf(Set<String> kinds, FoundTerm term) {
        return kinds.isEmpty()
                ? term.happened()
                : term.kinds().stream().map(NormalText::of).anyMatch(kinds::contains);
    }

    private List<MayBeMeant> values(Ask.Values ask) {
        Fields fields = ask.ofRecords() ? records.events().fields() : records.personFields();
        return fields.find(ask.field())
                .map(field -> ask.ofRecords() ? records.events().column(field) : records.column(field))
                .filter(Column.OfText.class::isInstance)
                .map(Column.OfText.class::cast)
                .map(column -> ValueCounts.of(column).stream()
                        .limit(MOST)
                        .map(value -> new MayBeMeant(
                                StringNode.valueOf(value.value()),
                                value.value(),
                                "",
                                value.count(),
                                ask.words().stream().anyMatch(word -> resembles(value.value(), word))))
                        .toList())
                .orElse(List.of());
    }

    private static boolean resembles(String value, String word) {
        return NormalText.of(value).contains(NormalText.of(word));
    }
}
