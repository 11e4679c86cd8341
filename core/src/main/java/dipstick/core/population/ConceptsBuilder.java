package dipstick.core.population;

import dipstick.core.records.Coding;
import dipstick.core.records.EventRecord;
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
    private final ValueDictionary<List<Coding>> codingSets = new ValueDictionary<>(List.of());

    private final Map<Concepts.About, Integer> numbers = new HashMap<>();
    private final Concepts.Listing listing = new Concepts.Listing();
    private final Map<Written, Known> known = new HashMap<>();

    /** A concept as it is written. Most records are written as others are, and are looked up as a whole. */
    private record Written(
            String kind, String code, String system, String text, List<String> keywords, List<Coding> codings) {}

    private static final class Known {
        private final int number;
        private int records;

        Known(int number) {
            this.number = number;
        }
    }

    int number(EventRecord event) {
        Known concept = known.computeIfAbsent(written(event), this::newlyWritten);
        concept.records++;
        return concept.number;
    }

    /** The numbers of rows that a file by columns has, of which each different concept is looked up once. */
    int[] numbers(ConceptRows rows) {
        int[] all = new int[rows.size()];
        int[] counts = new int[rows.different().size()];
        Known[] concepts = new Known[counts.length];
        for (int row = 0; row < all.length; row++) {
            int place = rows.of(row);
            if (counts[place]++ == 0) {
                concepts[place] = known.computeIfAbsent(written(rows.different().get(place)), this::newlyWritten);
            }
            all[row] = concepts[place].number;
        }
        for (int place = 0; place < counts.length; place++) {
            if (counts[place] > 0) {
                concepts[place].records += counts[place];
            }
        }
        return all;
    }

    private static Written written(EventRecord event) {
        return new Written(
                event.kind(),
                event.text("code"),
                event.text("system"),
                event.text("text"),
                event.texts("keywords"),
                event.codings("also_coded"));
    }

    private Known newlyWritten(Written written) {
        Concepts.About about = new Concepts.About(
                kinds.code(written.kind()),
                codes.code(written.code()),
                systems.code(written.system()),
                texts.code(written.text()),
                keywordSet(written.keywords()),
                written.codings().isEmpty() ? Codes.MISSING : codingSets.code(written.codings()));
        Integer before = numbers.putIfAbsent(about, numbers.size());
        if (before == null) {
            listing.add(about);
        }
        return new Known(before == null ? numbers.size() - 1 : before);
    }

    int count() {
        return numbers.size();
    }

    Concepts seal(int[] starts) {
        // The first record of each was counted when it came.
        known.forEach((written, concept) -> {
            int more = concept.records - 1;
            kinds.count(written.kind(), more);
            codes.count(written.code(), more);
            systems.count(written.system(), more);
            texts.count(written.text(), more);
        });
        return listing.seal(starts);
    }

    /** The columns of what is the same for all events of a concept, by field. */
    Map<String, Column> columns(Concepts concepts) {
        return Map.of(
                "kind", kinds.seal(concepts.kindCodes()),
                "code", codes.seal(concepts.codeCodes()),
                "system", systems.seal(concepts.systemCodes()),
                "text", texts.seal(concepts.textCodes()),
                "keywords", new Column.OfTexts(concepts.keywordCodes(), keywordSets.values(), words.compared()),
                "also_coded", new Column.OfCodings(concepts.codingCodes(), codingSets.values()));
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
