package dipstick.intake.make;

import dipstick.core.records.FieldValue;
import java.util.List;
import java.util.Map;

/** The people whom rows may be of, found by several of their fields together. */
public interface PeopleKnown {
    /** Nobody is known: whoever has the same fields is the same person, and has a number made of them. */
    PeopleKnown NOBODY = new PeopleKnown() {
        @Override
        public List<String> find(Map<String, FieldValue> fields) {
            return List.of();
        }

        @Override
        public boolean mustBeFound() {
            return false;
        }
    };

    /**
     * The numbers of those whose fields are all the same, compared as text is.
     *
     * @param fields by name; each of them has a value
     */
    List<String> find(Map<String, FieldValue> fields);

    /** Whether a row of somebody who is not found, and whom the intake does not make, is of nobody. */
    default boolean mustBeFound() {
        return true;
    }
}
