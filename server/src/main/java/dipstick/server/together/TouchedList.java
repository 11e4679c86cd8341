package dipstick.server.together;

import java.util.List;

/**
 * What is told of a list.
 *
 * @param list the id of its set
 * @param people of whom something is another, by number; empty where it may be so of everybody, or of more than are worth
 *     naming
 * @param whole whether the list itself is another, or was read anew
 * @param mine whether it is about people who are, or were, in the hand of whoever is told
 * @param open whether others are to be contacted than before
 */
record TouchedList(String list, List<String> people, boolean whole, boolean mine, boolean open) {
    private static final int MOST_NAMED = 100;

    TouchedList {
        people = people.size() > MOST_NAMED ? List.of() : List.copyOf(people);
    }
}
