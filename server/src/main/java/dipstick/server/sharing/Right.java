package dipstick.server.sharing;

/** What somebody may do with a criteria set and its list; each includes the ones before it. */
public enum Right {
    NONE,
    /** See the list and the people on it. */
    VIEW,
    /** Work the list: take people, log attempts, excuse. */
    WORK,
    /** Change the criteria, how the list is worked, and with whom it is shared. */
    CHANGE;

    public boolean includes(Right other) {
        return compareTo(other) >= 0;
    }

    Right atMost(Right most) {
        return includes(most) ? most : this;
    }

    Right orMore(Right other) {
        return includes(other) ? this : other;
    }
}
