package dipstick.core;

/**
 * The answer to a test for one person or one record: yes, no or can't tell (Kleene's three-valued logic,
 * criteria.md section 3).
 */
public enum Outcome {
    NO(0),
    UNSURE(1),
    YES(2);

    private final byte rank;

    Outcome(int rank) {
        this.rank = (byte) rank;
    }

    public static Outcome of(boolean answer) {
        return answer ? YES : NO;
    }

    /** As a small number for columns of outcomes: 0 for no, 1 for can't tell, 2 for yes. And is the least of them. */
    public byte rank() {
        return rank;
    }

    public static Outcome ofRank(int rank) {
        return rank == 0 ? NO : rank == 1 ? UNSURE : YES;
    }

    public Outcome not() {
        return switch (this) {
            case NO -> YES;
            case UNSURE -> UNSURE;
            case YES -> NO;
        };
    }

    /** Kleene's and: the lesser of the two, in the order no, can't tell, yes. */
    public Outcome and(Outcome other) {
        return compareTo(other) <= 0 ? this : other;
    }

    /** Kleene's or: the greater of the two, in the order no, can't tell, yes. */
    public Outcome or(Outcome other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
