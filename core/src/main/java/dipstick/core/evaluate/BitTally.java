package dipstick.core.evaluate;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * Counts for everybody at once in how many sets they are: one bit set for each binary digit of the counts, added to as
 * on paper.
 */
final class BitTally {
    private final List<BitSet> digits = new ArrayList<>();

    void add(BitSet set) {
        BitSet carry = (BitSet) set.clone();
        for (BitSet digit : digits) {
            BitSet both = (BitSet) digit.clone();
            both.and(carry);
            digit.xor(carry);
            carry = both;
        }
        if (!carry.isEmpty()) {
            digits.add(carry);
        }
    }

    /** Those in {@code count} or more of the sets. */
    BitSet atLeast(int count, int people) {
        BitSet equal = Answer.range(people);
        BitSet above = new BitSet();
        for (int place = 31; place >= 0; place--) {
            boolean wanted = (count >> place & 1) == 1;
            BitSet digit = place < digits.size() ? digits.get(place) : new BitSet();
            if (wanted) {
                equal.and(digit);
            } else {
                BitSet higher = (BitSet) equal.clone();
                higher.and(digit);
                above.or(higher);
                equal.andNot(digit);
            }
        }
        above.or(equal);
        return above;
    }
}
