package dipstick.server.personal;

import java.util.List;

/** A part of the product that holds something of people: it tells it in their report, and erases it. */
public interface PersonalData {
    /**
     * What is held, as a table.
     *
     * @param columns their names, as many as each row has texts
     */
    record Held(String title, List<String> columns, List<List<String>> rows) {
        public Held {
            columns = List.copyOf(columns);
            rows = List.copyOf(rows);
        }
    }

    /** All that is held of somebody; tables without rows may be among them. */
    List<Held> heldOf(String person);

    /**
     * Erases somebody within the transaction that is going on. Where a count needs somebody to be there, the stub takes
     * their place, and nothing else stays.
     *
     * @param stub a name that nobody has
     * @param by the account that does it
     */
    void erase(String person, String stub, String by);

    /** Whether what is held here shows who did what, and is not erased. */
    default boolean outlivesErasure() {
        return false;
    }
}
