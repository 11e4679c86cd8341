package dipstick.core.evaluate;

import dipstick.core.criteria.TermSet;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
import dipstick.core.population.Events;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

    public TermMatcher(List<TermSet> termSets, Events events) {
        this(termSets.stream().flatMap(set -> set.members().stream()).distinct(), events);
    }

    public TermMatcher(Stream<TermSet.Member> members, Events events) {
        this.events = events;
        members.forEach(this::add);
    }

    /** Whether none of the names is in the dictionaries, so that nothing can match. */
    boolean isEmpty() {
        return codes.isEmpty() && codesOfSystems.isEmpty() && texts.isEmpty() && keywordSets.isEmpty();
    }

    public boolean matches(int concept) {
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
