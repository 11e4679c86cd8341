package dipstick.core.evaluate;

import dipstick.core.criteria.TermSet;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
import dipstick.core.population.Events;
import dipstick.core.records.Coding;
import dipstick.core.text.NormalText;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Term sets bound to the dictionaries of a population: which codes, texts and keywords of the records are meant. */
public final class TermMatcher {
    private final Events events;
    /** Codes that match in any system. */
    private final BitSet codes = new BitSet();
    /** The systems of codes that match only in some. */
    private final Map<Integer, BitSet> codesOfSystems = new HashMap<>();

    private final BitSet texts = new BitSet();
    private final BitSet keywordSets = new BitSet();
    /** For each set of further codes of which one is meant, that one. */
    private final Map<Integer, Coding> codingOfSet = new HashMap<>();

    public TermMatcher(List<TermSet> termSets, Events events) {
        this(termSets.stream().flatMap(set -> set.members().stream()).distinct(), events);
    }

    public TermMatcher(Stream<TermSet.Member> members, Events events) {
        this.events = events;
        members.forEach(this::add);
    }

    /** Whether none of the names is in the dictionaries, so that nothing can match. */
    boolean isEmpty() {
        return codes.isEmpty()
                && codesOfSystems.isEmpty()
                && texts.isEmpty()
                && keywordSets.isEmpty()
                && codingOfSet.isEmpty();
    }

    public boolean matches(int concept) {
        return matchesFirst(concept)
                || codingOfSet.containsKey(events.concepts().codings(concept));
    }

    /** The further code by which alone the concept's records are meant, and not by their code, text or keywords. */
    public Optional<Coding> furtherCode(int concept) {
        return matchesFirst(concept)
                ? Optional.empty()
                : Optional.ofNullable(codingOfSet.get(events.concepts().codings(concept)));
    }

    private boolean matchesFirst(int concept) {
        Concepts concepts = events.concepts();
        int code = concepts.code(concept);
        if (codes.get(code) || texts.get(concepts.text(concept)) || keywordSets.get(concepts.keywords(concept))) {
            return true;
        }
        BitSet systems = codesOfSystems.get(code);
        return systems != null && systems.get(concepts.system(concept));
    }

    private void add(TermSet.Member member) {
        switch (member) {
            case TermSet.Member.Code(var system, var code) -> {
                addCodings(code, system);
                Integer at = events.code().codeOf().get(code);
                if (at != null && system.isEmpty()) {
                    codes.set(at);
                } else if (at != null) {
                    Integer systemAt = events.system().codeOf().get(system.get());
                    if (systemAt != null) {
                        codesOfSystems.computeIfAbsent(at, _ -> new BitSet()).set(systemAt);
                    }
                }
            }
            case TermSet.Member.Text(var text, var match) -> addTexts(text, match);
            case TermSet.Member.Keyword(var keyword) -> addKeyword(keyword);
        }
    }

    /** An entry without a system has none, so it is meant only where the member names none either. */
    private void addCodings(String code, Optional<String> system) {
        List<List<Coding>> sets = events.alsoCoded().sets();
        for (int set = 1; set < sets.size(); set++) {
            int number = set;
            sets.get(set).stream()
                    .filter(coding -> NormalText.of(coding.code()).equals(code)
                            && system.map(NormalText.of(coding.system())::equals)
                                    .orElse(true))
                    .findFirst()
                    .ifPresent(coding -> codingOfSet.putIfAbsent(number, coding));
        }
    }

    private void addTexts(String text, TermSet.Match match) {
        Column.OfText column = events.text();
        for (int code = 1; code < column.codeCount(); code++) {
            if (match.holds(column.compared().get(code), text)) {
                texts.set(code);
            }
        }
    }

    private void addKeyword(String keyword) {
        Column.OfTexts column = events.keywords();
        int word = column.words().indexOf(keyword);
        for (int set = 1; word > 0 && set < column.codeCount(); set++) {
            if (column.sets().get(set).contains(word)) {
                keywordSets.set(set);
            }
        }
    }
}
