package dipstick.core.state;

import java.util.BitSet;

/**
 * Records, or people, of which something cannot be so, or hardly.
 *
 * @param records by their numbers among the events; empty where it is about people alone
 * @param people whose they are, or who they are
 */
public record Oddity(Sort sort, BitSet records, BitSet people) {
    public enum Sort {
        /** A day that lies before the person was born. */
        BEFORE_BIRTH,
        /** A day after the person died. */
        AFTER_DEATH,
        /** A day that is more than two years ahead. */
        FAR_AHEAD,
        /** The same code, or the same wording, of one person twice on one day. */
        TWICE_ON_A_DAY,
        /** A unit that few of the values of the same code have, while most have another. */
        ANOTHER_UNIT,
        /** A value a thousand times what is usual for its code and unit, or a thousandth of it. */
        FAR_VALUE,
        /** People who were born after today. */
        BORN_AHEAD,
        /** People who died before they were born. */
        DIED_BEFORE_BIRTH,
        /** People who are older than anybody became, and not recorded as deceased. */
        TOO_OLD
    }

    @Override
    public BitSet records() {
        return (BitSet) records.clone();
    }

    @Override
    public BitSet people() {
        return (BitSet) people.clone();
    }
}
