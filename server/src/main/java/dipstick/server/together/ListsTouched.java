package dipstick.server.together;

import java.util.Set;

/**
 * Something about these lists or the people on them is another than it was.
 *
 * @param lists the ids of their sets
 */
public record ListsTouched(Set<String> lists) {
    public ListsTouched {
        lists = Set.copyOf(lists);
    }
}
