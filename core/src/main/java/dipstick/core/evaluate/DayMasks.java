package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.population.Codes;
import java.util.List;

/** For each code of a column as of which days its outcome is yes, and as of which it can't be told: a bit for each day. */
final class DayMasks {
    private final Codes codes;
    private final long[] yes;
    private final long[] unsure;

    private DayMasks(Codes codes, int count) {
        this.codes = codes;
        this.yes = new long[count];
        this.unsure = new long[count];
    }

    /** @param ofDays over the same codes */
    static DayMasks of(List<FieldMatcher.ByCode> ofDays) {
        FieldMatcher.ByCode any = ofDays.getFirst();
        DayMasks masks = new DayMasks(any.codes(), any.ranks().length);
        for (int day = 0; day < ofDays.size(); day++) {
            byte[] ranks = ofDays.get(day).ranks();
            for (int code = 0; code < ranks.length; code++) {
                masks.yes[code] |= (ranks[code] == Outcome.YES.rank() ? 1L : 0) << day;
                masks.unsure[code] |= (ranks[code] == Outcome.UNSURE.rank() ? 1L : 0) << day;
            }
        }
        return masks;
    }

    Codes codes() {
        return codes;
    }

    long yes(int code) {
        return yes[code];
    }

    long unsure(int code) {
        return unsure[code];
    }
}
