package dipstick.core.population;

import dipstick.core.records.Coding;
import java.util.List;
import java.util.Map;

/** The dictionaries of what two populations' events are about, as one. */
final class ConceptsJoining {
    private final Events first;
    private final Events second;
    private final Joined<String> kinds;
    private final Joined<String> codes;
    private final Joined<String> systems;
    private final Joined<String> texts;
    private final Joined<String> words;
    private final Joined<List<Integer>> keywordSets;

    private final Joined<List<Coding>> codingSets;

    ConceptsJoining(Events first, Events second) {
        this.first = first;
        this.second = second;
        this.kinds = Joined.texts(first.kind(), second.kind());
        this.codes = Joined.texts(first.code(), second.code());
        this.systems = Joined.texts(first.system(), second.system());
        this.texts = Joined.texts(first.text(), second.text());
        this.words = Joined.of(first.keywords().words(), second.keywords().words());
        List<List<Integer>> translated = second.keywords().sets().stream()
                .map(set -> set.stream().map(word -> words.codes()[word]).toList())
                .toList();
        this.keywordSets = Joined.of(first.keywords().sets(), translated);
        this.codingSets = Joined.of(first.alsoCoded().sets(), second.alsoCoded().sets());
    }

    /** A concept of the second population, in the joined dictionaries. */
    Concepts.About aboutOfSecond(int concept) {
        Concepts concepts = second.concepts();
        return new Concepts.About(
                kinds.codes()[concepts.kind(concept)],
                codes.codes()[concepts.code(concept)],
                systems.codes()[concepts.system(concept)],
                texts.codes()[concepts.text(concept)],
                keywordSets.codes()[concepts.keywords(concept)],
                codingSets.codes()[concepts.codings(concept)]);
    }

    /** The columns of what is the same for all events of a concept, by field. */
    Map<String, Column> columns(Concepts concepts) {
        return Map.of(
                "kind", ColumnJoining.dictionary(first.kind(), second.kind(), kinds, concepts.kindCodes()),
                "code", ColumnJoining.dictionary(first.code(), second.code(), codes, concepts.codeCodes()),
                "system", ColumnJoining.dictionary(first.system(), second.system(), systems, concepts.systemCodes()),
                "text", ColumnJoining.dictionary(first.text(), second.text(), texts, concepts.textCodes()),
                "keywords", new Column.OfTexts(concepts.keywordCodes(), keywordSets.values(), words.values()),
                "also_coded", new Column.OfCodings(concepts.codingCodes(), codingSets.values()));
    }
}
