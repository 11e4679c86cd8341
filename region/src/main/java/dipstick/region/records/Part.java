package dipstick.region.records;

import java.io.Serializable;

/** A part of a practice: some of its people, with all of their events. */
public record Part(String practice, int number) implements Serializable {
    /** The part of a person among so many; everywhere and always the same. */
    public static int of(String person, int parts) {
        return Math.floorMod(person.hashCode(), parts);
    }
}
