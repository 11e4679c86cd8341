package dipstick.core;

/**
 * The answer to a test for one person or one record: yes, no or can't tell (Kleene's three-valued logic,
 * criteria.md section 3).
 */
public enum Outcome {
    NO,
    UNSURE,
    YES;

    public static Outcome of(boolean answer) {
        return answer ? YES : NO;
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
