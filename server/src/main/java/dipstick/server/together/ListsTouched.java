package dipstick.server.together;

import java.util.Set;

/**
 * Something about these lists or the people on them is another than it was.
 *
 * @param lists the ids of their sets
 * @param people of whom alone something is another, whichever lists they are on; empty where that may be so of everybody
 * @param whole whether the lists themselves are others, or were read anew
 * @param hands the accounts in whose hand they are, or were
 * @param open whether others are to be contacted than before
 */
public record ListsTouched(Set<String> lists, Set<String> people, boolean whole, Set<String> hands, boolean open) {
    public ListsTouched {
        lists = Set.copyOf(lists);
        people = Set.copyOf(people);
        hands = Set.copyOf(hands);
    }

    /** Of everybody on them. */
    public static ListsTouched whole(Set<String> lists) {
        return new ListsTouched(lists, Set.of(), true, Set.of(), true);
    }

    /** A list was read, and no others can stand otherwise than these. */
    public static ListsTouched read(String list, Set<String> people) {
        return new ListsTouched(Set.of(list), people, true, Set.of(), true);
    }

    /**
     * Something was done about people.
     *
     * @param hands the accounts in whose hand they are, or were
     * @param open whether others are to be contacted than before
     */
    public static ListsTouched worked(Set<String> lists, Set<String> people, Set<String> hands, boolean open) {
        return new ListsTouched(lists, people, false, hands, open);
    }
}
