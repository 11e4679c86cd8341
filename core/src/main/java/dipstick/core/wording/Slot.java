package dipstick.core.wording;

/**
 * A part of a sentence that can be changed in place.
 *
 * @param pointer the JSON it stands for, as a JSON Pointer from the criterion's test, or from a band's {@code when}
 * @param control what changes it
 */
public record Slot(String pointer, Control control) {
    /** What kind of JSON stands at the pointer. */
    public enum Control {
        /** A test of a field, its operator and operands. */
        FIELD,
        /** The ages of an age test. */
        AGE,
        /** A test of events, a pick or a sequence, whose count may change. */
        COUNT,
        /** A selection: kinds, term sets, active and tests of event fields. */
        SELECTION,
        /** A selection, whose window may change. */
        WINDOW,
        /** A group, whose rule may change. */
        GROUP,
        /** A pick: the latest or the earliest, and the tests of it. */
        PICK,
        /** A sequence: after which one, and how soon. */
        SEQUENCE,
        /** A membership: which set, and which part of it. */
        MEMBER,
        /** A test of a roster: which one. */
        ROSTER,
        /** When somebody is in a band: by how much they are overdue. */
        OVERDUE
    }
}
