package dipstick.server.together;

import java.util.Set;

/**
 * Something about these lists or the people on them is another than it was.
 *
 * @param lists the ids of their sets
 * @param people about whom something was done, whichever lists they are on; empty where it is the lists that are others, or
 *     who is on them
 * @param hands the accounts in whose hand they are, or were
 * @param open whether others are to be contacted than before
 */
public record ListsTouched(Set<String> lists, Set<String> people, Set<String> hands, boolean open) {
    public ListsTouched {
        lists = Set.copyOf(lists);
        people = Set.copyOf(people);
        hands = Set.copyOf(hands);
    }

    /** The lists themselves, or who is on them. */
    public static ListsTouched whole(Set<String> lists) {
        return new ListsTouched(lists, Set.of(), Set.of(), true);
    }
}
