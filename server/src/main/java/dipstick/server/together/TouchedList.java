package dipstick.server.together;

import java.util.List;

/**
 * What is told of a list.
 *
 * @param list the id of its set
 * @param people about whom something was done, by number; empty where it is the list itself that is another, or more than
 *     are worth naming
 * @param mine whether it is about people who are, or were, in the hand of whoever is told
 * @param open whether others are to be contacted than before
 */
record TouchedList(String list, List<String> people, boolean mine, boolean open) {
    private static final int MOST_NAMED = 100;

    TouchedList {
        people = people.size() > MOST_NAMED ? List.of() : List.copyOf(people);
    }
}
