package dipstick.core.population;

import dipstick.core.text.NormalText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Gives each different text a code while a column is built; texts that are compared as equal share one. */
final class TextDictionary {
    private final UnaryOperator<String> comparable;
    private final Map<String, Spelling> spellings = new HashMap<>();
    private final Map<String, Integer> codeOf = new HashMap<>();
    /** Many columns say the same row after row. */
    private String latest = "";

    private Spelling latestSpelling = spellings.computeIfAbsent(latest, _ -> new Spelling(Codes.MISSING));
    private final List<String> compared = new ArrayList<>(List.of(""));

    /** One way in which a text was written, and how often. */
    private static final class Spelling {
        private final int code;
        private int count;

        Spelling(int code) {
            this.code = code;
        }
    }

    private TextDictionary(UnaryOperator<String> comparable) {
        this.comparable = comparable;
    }

    static TextDictionary ofWords() {
        return new TextDictionary(NormalText::of);
    }

    static TextDictionary ofIdentifiers() {
        return new TextDictionary(NormalText::identifier);
    }

    int code(String text) {
        if (!text.equals(latest)) {
            latest = text;
            latestSpelling = spellings.computeIfAbsent(text, this::newSpelling);
        }
        latestSpelling.count++;
        return latestSpelling.code;
    }

    /** Counts more of a text that has a code. */
    void count(String text, int more) {
        Spelling spelling = spellings.get(text);
        if (spelling != null) {
            spelling.count += more;
        }
    }

    private Spelling newSpelling(String text) {
        String normal = comparable.apply(text);
        if (normal.isEmpty()) {
            return new Spelling(Codes.MISSING);
        }
        Integer known = codeOf.get(normal);
        if (known != null) {
            return new Spelling(known);
        }
        compared.add(normal);
        codeOf.put(normal, compared.size() - 1);
        return new Spelling(compared.size() - 1);
    }

    List<String> compared() {
        return List.copyOf(compared);
    }

    Column.OfText seal(Codes codes) {
        return new Column.OfText(codes, compared(), mostFrequentSpellings(), Map.copyOf(codeOf));
    }

    private List<String> mostFrequentSpellings() {
        String[] written = new String[compared.size()];
        Arrays.fill(written, "");
        int[] counts = new int[compared.size()];
        spellings.forEach((text, spelling) -> {
            boolean more = spelling.count > counts[spelling.code];
            // Of two as frequent the one that shouts less: small letters come after capitals.
            boolean quieter = spelling.count == counts[spelling.code] && text.compareTo(written[spelling.code]) > 0;
            if (spelling.code != Codes.MISSING && (more || quieter)) {
                counts[spelling.code] = spelling.count;
                written[spelling.code] = text;
            }
        });
        return List.of(written);
    }

    int highest() {
        return compared.size() - 1;
    }
}
