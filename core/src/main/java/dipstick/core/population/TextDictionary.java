package dipstick.core.population;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Gives each different text a code while a column is built; texts that are compared as equal share one. */
final class TextDictionary {
    private final UnaryOperator<String> comparable;
    private final Map<String, Integer> codeOfWritten = new HashMap<>();
    private final Map<String, Integer> codeOf = new HashMap<>();
    private final List<String> compared = new ArrayList<>(List.of(""));
    private final List<String> written = new ArrayList<>(List.of(""));

    TextDictionary(UnaryOperator<String> comparable) {
        this.comparable = comparable;
    }

    int code(String text) {
        Integer known = codeOfWritten.get(text);
        if (known != null) {
            return known;
        }
        int code = codeOfComparable(text, comparable.apply(text));
        codeOfWritten.put(text, code);
        return code;
    }

    private int codeOfComparable(String text, String normal) {
        if (normal.isEmpty()) {
            return Codes.MISSING;
        }
        Integer known = codeOf.get(normal);
        if (known != null) {
            return known;
        }
        compared.add(normal);
        written.add(text);
        codeOf.put(normal, compared.size() - 1);
        return compared.size() - 1;
    }

    List<String> compared() {
        return List.copyOf(compared);
    }

    Column.OfText seal(Codes codes) {
        return new Column.OfText(codes, compared(), List.copyOf(written), Map.copyOf(codeOf));
    }

    int highest() {
        return compared.size() - 1;
    }
}
