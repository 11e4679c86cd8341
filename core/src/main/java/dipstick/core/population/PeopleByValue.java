package dipstick.core.population;

import java.util.Arrays;
import java.util.BitSet;
import java.util.function.IntPredicate;

/** Who has each value of a column of few values. */
public final class PeopleByValue {
    /** A set takes a bit for each person, so that these take eight bytes at most. */
    static final int MOST_VALUES = 64;

    private final BitSet[] withCode;

    PeopleByValue(Codes codes, int codeCount) {
        this.withCode = new BitSet[codeCount];
        Arrays.setAll(withCode, _ -> new BitSet(codes.size()));
        for (int person = 0; person < codes.size(); person++) {
            withCode[codes.get(person)].set(person);
        }
    }

    /** Those who have a value of which something holds. */
    public BitSet where(IntPredicate holds) {
        BitSet where = new BitSet();
        for (int code = 0; code < withCode.length; code++) {
            if (holds.test(code)) {
                where.or(withCode[code]);
            }
        }
        return where;
    }
}
