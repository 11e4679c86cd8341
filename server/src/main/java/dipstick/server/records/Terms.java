package dipstick.server.records;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
import dipstick.core.population.Events;
import dipstick.core.text.NormalText;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntUnaryOperator;

/** Finds the codes, wordings and keywords that occur in the records. */
public final class Terms {
    private static final int MOST = 60;

    private Terms() {}

    public enum Sort {
        CODE,
        TEXT,
        KEYWORD
    }

    /**
     * A code, wording or keyword of the records.
     *
     * @param says the wording most often recorded with a code; the term itself for the others
     */
    public record Term(Sort sort, String term, String system, String says, int records) {}

    private record CodeKey(int code, int system) {}

    /** Those whose words hold what is looked for, most frequent first. */
    public static List<Term> find(Events events, String words) {
        String wanted = NormalText.of(words);
        List<Term> found = new ArrayList<>();
        found.addAll(texts(events, wanted));
        found.addAll(codes(events, wanted));
        found.addAll(keywords(events, wanted));
        return found.stream()
                .filter(term -> term.records() > 0)
                .sorted(Comparator.comparingInt(Term::records).reversed())
                .limit(MOST)
                .toList();
    }

    private static List<Term> texts(Events events, String wanted) {
        Column.OfText texts = events.text();
        int[] counts = counts(events.concepts(), texts.codeCount(), events.concepts()::text);
        List<Term> found = new ArrayList<>();
        for (int code = 1; code < texts.codeCount(); code++) {
            if (texts.compared().get(code).contains(wanted)) {
                String text = texts.written().get(code);
                found.add(new Term(Sort.TEXT, text, "", text, counts[code]));
            }
        }
        return found;
    }

    /** How many records have each code. */
    private static int[] counts(Concepts concepts, int codeCount, IntUnaryOperator codeOf) {
        int[] counts = new int[codeCount];
        for (int concept = 0; concept < concepts.count(); concept++) {
            counts[codeOf.applyAsInt(concept)] += concepts.events(concept);
        }
        return counts;
    }

    /** Codes that hold the words, and codes recorded with a wording that does. */
    private static List<Term> codes(Events events, String wanted) {
        Column.OfText codes = events.code();
        Column.OfText systems = events.system();
        Column.OfText texts = events.text();
        BitSet wantedTexts = new BitSet();
        for (int text = 1; text < texts.codeCount(); text++) {
            wantedTexts.set(text, texts.compared().get(text).contains(wanted));
        }
        Map<CodeKey, Map<Integer, Integer>> textsOfCode = new HashMap<>();
        Concepts concepts = events.concepts();
        for (int concept = 0; concept < concepts.count(); concept++) {
            int code = concepts.code(concept);
            if (code != Codes.MISSING) {
                textsOfCode
                        .computeIfAbsent(new CodeKey(code, concepts.system(concept)), _ -> new HashMap<>())
                        .merge(concepts.text(concept), concepts.events(concept), Integer::sum);
            }
        }
        List<Term> found = new ArrayList<>();
        textsOfCode.forEach((key, saidWith) -> {
            boolean meant = codes.compared().get(key.code()).contains(wanted)
                    || saidWith.keySet().stream().anyMatch(wantedTexts::get);
            if (meant) {
                int most = saidWith.entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .map(Map.Entry::getKey)
                        .orElse(Codes.MISSING);
                int records =
                        saidWith.values().stream().mapToInt(Integer::intValue).sum();
                found.add(new Term(
                        Sort.CODE,
                        codes.written().get(key.code()),
                        systems.written().get(key.system()),
                        texts.written().get(most),
                        records));
            }
        });
        return found;
    }

    private static List<Term> keywords(Events events, String wanted) {
        Column.OfTexts keywords = events.keywords();
        int[] counts = new int[keywords.words().size()];
        int[] ofSets = counts(events.concepts(), keywords.codeCount(), events.concepts()::keywords);
        for (int set = 1; set < keywords.codeCount(); set++) {
            for (int word : keywords.sets().get(set).stream().distinct().toList()) {
                counts[word] += ofSets[set];
            }
        }
        List<Term> found = new ArrayList<>();
        for (int word = 1; word < counts.length; word++) {
            String text = keywords.words().get(word);
            if (text.contains(wanted)) {
                found.add(new Term(Sort.KEYWORD, text, "", text, counts[word]));
            }
        }
        return found;
    }
}
