package dipstick.core.evaluate;

import dipstick.core.criteria.TermSet;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Postings;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Term sets bound to the dictionaries of a population: which codes, texts and keywords of the records are meant. */
final class TermMatcher {
    private final Events events;
    /** Codes that match in any system. */
    private final BitSet codes = new BitSet();
    /** The systems of codes that match only in some. */
    private final Map<Integer, BitSet> codesOfSystems = new HashMap<>();

    private final BitSet texts = new BitSet();
    private final BitSet keywordSets = new BitSet();

    TermMatcher(List<TermSet> termSets, Events events) {
        this.events = events;
        termSets.stream().flatMap(set -> set.members().stream()).distinct().forEach(this::add);
    }

    boolean matches(int event) {
        int code = events.code().codes().get(event);
        if (codes.get(code)
                || texts.get(events.text().codes().get(event))
                || keywordSets.get(events.keywords().codes().get(event))) {
            return true;
        }
        BitSet systems = codesOfSystems.get(code);
        return systems != null && systems.get(events.system().codes().get(event));
    }

    /** How many entries of posting lists the matching events are among. */
    int candidateCount() {
        return count(codes, events.byCode())
                + count(codeKeys(), events.byCode())
                + count(texts, events.byText())
                + count(keywordSets, events.byKeywords());
    }

    /** Copies those entries; some events may be there twice, and some may not match. */
    int copyCandidates(int[] target) {
        int at = copy(codes, events.byCode(), target, 0);
        at = copy(codeKeys(), events.byCode(), target, at);
        at = copy(texts, events.byText(), target, at);
        return copy(keywordSets, events.byKeywords(), target, at);
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

    private BitSet codeKeys() {
        BitSet keys = new BitSet();
        Set<Integer> all = codesOfSystems.keySet();
        all.stream().filter(code -> !codes.get(code)).forEach(keys::set);
        return keys;
    }

    private static int count(BitSet codes, Postings postings) {
        return codes.stream().map(postings::count).sum();
    }

    private static int copy(BitSet codes, Postings postings, int[] target, int at) {
        int next = at;
        for (int code = codes.nextSetBit(0); code >= 0; code = codes.nextSetBit(code + 1)) {
            next = postings.copy(code, target, next);
        }
        return next;
    }
}
