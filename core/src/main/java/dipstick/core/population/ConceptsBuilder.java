package dipstick.core.population;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Numbers the concepts of events as they come. */
final class ConceptsBuilder {
    private final TextDictionary kinds = TextDictionary.ofWords();
    private final TextDictionary codes = TextDictionary.ofWords();
    private final TextDictionary systems = TextDictionary.ofWords();
    private final TextDictionary texts = TextDictionary.ofWords();
    private final TextDictionary words = TextDictionary.ofWords();
    private final ValueDictionary<List<Integer>> keywordSets = new ValueDictionary<>(List.of());

    private final Map<Key, Integer> numbers = new HashMap<>();
    private final GrowingInts kindOf = new GrowingInts();
    private final GrowingInts codeOf = new GrowingInts();
    private final GrowingInts systemOf = new GrowingInts();
    private final GrowingInts textOf = new GrowingInts();
    private final GrowingInts keywordsOf = new GrowingInts();

    private record Key(int kind, int code, int system, int text, int keywords) {}

    int number(String kind, String code, String system, String text, List<String> keywords) {
        Key key = new Key(
                kinds.code(kind), codes.code(code), systems.code(system), texts.code(text), keywordSet(keywords));
        Integer known = numbers.get(key);
        if (known != null) {
            return known;
        }
        numbers.put(key, numbers.size());
        kindOf.add(key.kind());
        codeOf.add(key.code());
        systemOf.add(key.system());
        textOf.add(key.text());
        keywordsOf.add(key.keywords());
        return numbers.size() - 1;
    }

    int count() {
        return numbers.size();
    }

    Concepts seal(Codes ofRows, int[] starts) {
        return new Concepts(
                ofRows,
                starts,
                kindOf.toArray(),
                codeOf.toArray(),
                systemOf.toArray(),
                textOf.toArray(),
                keywordsOf.toArray());
    }

    /** The columns of what is the same for all events of a concept, by field. */
    Map<String, Column> columns(Concepts concepts) {
        return Map.of(
                "kind", kinds.seal(concepts.kindCodes()),
                "code", codes.seal(concepts.codeCodes()),
                "system", systems.seal(concepts.systemCodes()),
                "text", texts.seal(concepts.textCodes()),
                "keywords", new Column.OfTexts(concepts.keywordCodes(), keywordSets.values(), words.compared()));
    }

    private int keywordSet(List<String> keywords) {
        if (keywords.isEmpty()) {
            return Codes.MISSING;
        }
        List<Integer> set = keywords.stream()
                .map(words::code)
                .filter(code -> code != Codes.MISSING)
                .toList();
        return set.isEmpty() ? Codes.MISSING : keywordSets.code(set);
    }
}
