package dipstick.server.typed;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.TermSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.terms.FoundTerm;
import dipstick.core.terms.Term;
import dipstick.core.terms.Terms;
import dipstick.core.text.NormalText;
import dipstick.core.time.Window;
import dipstick.core.typed.Expected;
import dipstick.core.typed.TypedCriteria;
import dipstick.core.typed.Vocabulary;
import dipstick.core.wording.Quoted;
import dipstick.core.wording.SelectionWords;
import dipstick.server.records.ValueCounts;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** What may be typed next, with how often it is on record. */
final class Offers {
    /** So many of one sort, and so many in all, fit below a line. */
    private static final int MOST_OF_A_SORT = 8;

    private static final int MOST = 12;

    /** Terms are looked for among many; a letter alone finds half of them. */
    private static final int SHORTEST_TERM = 2;

    private final Evaluator evaluator;
    private final Population population;
    private final Vocabulary vocabulary;
    private final List<TermSet> termSets;

    /** @param termSets those of the document that is typed for */
    Offers(Evaluator evaluator, Vocabulary vocabulary, List<TermSet> termSets) {
        this.evaluator = evaluator;
        this.population = evaluator.population();
        this.vocabulary = vocabulary;
        this.termSets = termSets;
    }

    /** Names and values before the words of the language, each once. */
    List<Offer> of(String typed, boolean ofBand) {
        List<Expected> expected =
                ofBand ? TypedCriteria.nextOfBand(typed, vocabulary) : TypedCriteria.next(typed, vocabulary);
        Stream<Offer> names = expected.stream()
                .filter(one -> one.what() != Expected.What.WORDS)
                .flatMap(one -> offers(one, typed.substring(one.from())));
        Stream<Offer> words = expected.stream()
                .filter(one -> one.what() == Expected.What.WORDS)
                .map(one -> Offer.plain(one.from(), one.words(), one.what()));
        return Stream.concat(names, words).distinct().limit(MOST).toList();
    }

    private Stream<Offer> offers(Expected one, String begun) {
        return switch (one.what()) {
            case WORDS, PERSON_FIELD, EVENT_FIELD, SET, ROSTER, DIAL, PERIOD ->
                Stream.of(Offer.plain(one.from(), one.words(), one.what()));
            case KIND -> Stream.of(kind(one));
            case TERM_SET -> Stream.of(termSet(one));
            case TERM -> terms(one, begun);
            case PERSON_VALUE -> personValues(one, begun);
            case EVENT_VALUE -> eventValues(one, begun);
            case NUMBER, DATE -> Stream.empty();
        };
    }

    private Offer kind(Expected one) {
        Column.OfText kinds = population.events().kind();
        int records = ValueCounts.of(kinds).stream()
                .filter(count -> SelectionWords.kind(count.value()).equals(one.words()))
                .mapToInt(ValueCounts.ValueCount::count)
                .sum();
        return Offer.counted(one, one.words(), records);
    }

    private Offer termSet(Expected one) {
        int records = termSets.stream()
                .filter(set -> Quoted.name(set.name()).equals(one.words()))
                .findFirst()
                .map(set -> records(one.within(), List.of(set)))
                .orElse(0);
        return Offer.counted(one, one.words(), records);
    }

    /** How many records are of these, among those that were named before. */
    private int records(Expected.Within within, List<TermSet> of) {
        return Arrays.stream(evaluator.conceptsOf(selection(within, of)))
                .map(population.events().concepts()::events)
                .sum();
    }

    /** @param of term sets; those named before where there are none */
    private Selection selection(Expected.Within within, List<TermSet> of) {
        List<TermSet> named = of.isEmpty()
                ? termSets.stream()
                        .filter(set -> within.termSets().contains(set.id()))
                        .toList()
                : of;
        return new Selection(
                within.kinds().isEmpty()
                        ? Optional.empty()
                        : Optional.of(within.kinds().stream()
                                .map(kind -> new ComparedText(kind, NormalText.of(kind)))
                                .collect(Collectors.toSet())),
                named.isEmpty() ? Optional.empty() : Optional.of(named),
                List.of(),
                false,
                new Window.AnyDay());
    }

    /** Terms that are in no term set so far; several are offered together first, under what was typed. */
    private Stream<Offer> terms(Expected one, String begun) {
        if (begun.strip().length() < SHORTEST_TERM) {
            return Stream.empty();
        }
        BitSet among = new BitSet();
        Arrays.stream(evaluator.conceptsOf(selection(one.within(), List.of()))).forEach(among::set);
        List<FoundTerm> found = Terms.find(population.events(), bare(begun), among::get);
        List<FoundTerm> shown = found.stream().limit(MOST_OF_A_SORT).toList();
        Stream<Offer> together =
                shown.size() > 1 ? Stream.of(together(one, bare(begun), found.size(), shown)) : Stream.empty();
        return Stream.concat(
                together,
                shown.stream()
                        .map(term -> new Offer(
                                one.from(),
                                Quoted.name(term.says()),
                                one.what(),
                                says(term.term()),
                                Optional.of(term.records()),
                                List.of(term.term().member()))));
    }

    private Offer together(Expected one, String typed, int found, List<FoundTerm> shown) {
        String name = typed.strip();
        List<JsonNode> members =
                shown.stream().<JsonNode>map(term -> term.term().member()).toList();
        String many = found > shown.size() ? "the " + shown.size() + " most frequent" : "all " + shown.size();
        TermSet set = new TermSet(
                "", name, shown.stream().map(term -> named(term.term())).toList());
        return new Offer(
                one.from(),
                Quoted.name(name),
                one.what(),
                many + " below together",
                Optional.of(records(one.within(), List.of(set))),
                members);
    }

    /** The same as {@link Term#member}, to be evaluated. */
    private static TermSet.Member named(Term term) {
        String text = NormalText.of(term.term());
        return switch (term.sort()) {
            case CODE ->
                new TermSet.Member.Code(
                        Optional.of(NormalText.of(term.system())).filter(system -> !system.isEmpty()), text);
            case TEXT -> new TermSet.Member.Text(text, TermSet.Match.IS);
            case KEYWORD -> new TermSet.Member.Keyword(text);
        };
    }

    private static String says(Term term) {
        return switch (term.sort()) {
            case CODE -> "code " + term.term() + (term.system().isEmpty() ? "" : " of " + term.system());
            case TEXT -> "wording";
            case KEYWORD -> "keyword";
        };
    }

    private Stream<Offer> personValues(Expected one, String begun) {
        return population.column(field(population.personFields(), one)) instanceof Column.OfText texts
                ? values(one, ValueCounts.of(texts), begun)
                : Stream.empty();
    }

    /** Of the records that were named before. */
    private Stream<Offer> eventValues(Expected one, String begun) {
        return population.events().column(field(Fields.EVENT, one)) instanceof Column.OfText texts
                ? values(
                        one,
                        ValueCounts.of(
                                texts,
                                population.events().concepts(),
                                evaluator.conceptsOf(selection(one.within(), List.of()))),
                        begun)
                : Stream.empty();
    }

    private static Stream<Offer> values(Expected one, List<ValueCounts.ValueCount> counts, String begun) {
        String wanted = NormalText.of(bare(begun));
        return counts.stream()
                .filter(count -> NormalText.of(count.value()).startsWith(wanted)
                        && !NormalText.of(count.value()).equals(wanted))
                .limit(MOST_OF_A_SORT)
                .map(count -> Offer.counted(one, Quoted.value(count.value()), count.count()));
    }

    private static Field field(Fields fields, Expected value) {
        return fields.find(value.of()).orElseThrow();
    }

    /** What was typed of a name, without the quotation mark before it. */
    private static String bare(String begun) {
        return begun.replaceFirst("^[“”\"]", "");
    }
}
