package dipstick.region.convert;

import dipstick.region.records.Part;
import java.io.Serializable;
import java.util.List;

/**
 * A side of a part that was written.
 *
 * @param part of no practice, for the events of people who are not there; these are counted and not written
 * @param twice the ids of people who are there twice
 */
record Written(Part part, long rows, List<String> twice) implements Serializable {
    Written {
        twice = List.copyOf(twice);
    }
}
