package dipstick.core.population;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Gives each different value a code while a column is built. Code 0 is kept for missing. */
final class ValueDictionary<T> {
    private final Map<T, Integer> codeOf = new HashMap<>();
    private final List<T> values = new ArrayList<>();

    /** @param unused what stands at code 0 */
    ValueDictionary(T unused) {
        values.add(unused);
    }

    int code(T value) {
        Integer known = codeOf.putIfAbsent(value, values.size());
        if (known != null) {
            return known;
        }
        values.add(value);
        return values.size() - 1;
    }

    List<T> values() {
        return List.copyOf(values);
    }

    int highest() {
        return values.size() - 1;
    }
}
