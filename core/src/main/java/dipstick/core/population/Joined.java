package dipstick.core.population;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The values of two dictionaries as one. Those of the first keep their codes; those that only the second has come after
 * them.
 *
 * @param codes what the codes of the second dictionary have become
 */
record Joined<T>(List<T> values, int[] codes) {
    static <T> Joined<T> of(List<T> first, List<T> second) {
        Map<T, Integer> codeOf = HashMap.newHashMap(first.size());
        for (int code = 1; code < first.size(); code++) {
            codeOf.put(first.get(code), code);
        }
        return of(first, codeOf, second);
    }

    static Joined<String> texts(Column.OfText first, Column.OfText second) {
        return of(first.compared(), first.codeOf(), second.compared());
    }

    /** @param codeOf the codes of the first dictionary, by value */
    private static <T> Joined<T> of(List<T> first, Map<T, Integer> codeOf, List<T> second) {
        int[] codes = new int[second.size()];
        List<T> more = new ArrayList<>();
        for (int code = 1; code < codes.length; code++) {
            Integer known = codeOf.get(second.get(code));
            if (known == null) {
                codes[code] = first.size() + more.size();
                more.add(second.get(code));
            } else {
                codes[code] = known;
            }
        }
        return new Joined<>(concat(first, more), codes);
    }

    /** What belongs to the values in another list beside each dictionary, such as spellings. */
    <V> List<V> beside(List<V> first, List<V> second) {
        List<V> more = new ArrayList<>();
        for (int code = 1; code < codes.length; code++) {
            if (codes[code] >= first.size()) {
                more.add(second.get(code));
            }
        }
        return concat(first, more);
    }

    private static <V> List<V> concat(List<V> first, List<V> more) {
        if (more.isEmpty()) {
            return first;
        }
        List<V> all = new ArrayList<>(first.size() + more.size());
        all.addAll(first);
        all.addAll(more);
        return List.copyOf(all);
    }

    int highest() {
        return values.size() - 1;
    }
}
