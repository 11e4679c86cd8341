package dipstick.core.evaluate;

import dipstick.core.Outcome;
import java.util.BitSet;

/** Sets the outcomes of people, range by range, then seals them into an {@link Answer}. Nobody is a yes at first. */
final class AnswerBuilder {
    private final long[] yes;
    private final long[] unsure;

    AnswerBuilder(int people) {
        this.yes = new long[(people + 63) >>> 6];
        this.unsure = new long[yes.length];
    }

    /** Sets somebody's outcome, which is no until now. */
    void set(int person, Outcome outcome) {
        switch (outcome) {
            case YES -> yes[person >> 6] |= 1L << person;
            case UNSURE -> unsure[person >> 6] |= 1L << person;
            case NO -> {}
        }
    }

    /** Raises somebody's outcome to one of this rank, where it is less; {@link #seal} sorts out who is both. */
    void raise(int person, int rank) {
        yes[person >> 6] |= (long) (rank >> 1) << person;
        unsure[person >> 6] |= (long) (rank & 1) << person;
    }

    /** Sets the outcomes of people one after another, from the first of a word on, of whom none was set before. */
    void setAll(int first, byte[] ranks, int count) {
        for (int from = 0; from < count; from += Long.SIZE) {
            int end = Math.min(count, from + Long.SIZE);
            long certain = 0;
            long open = 0;
            for (int i = from; i < end; i++) {
                certain |= (long) (ranks[i] >> 1) << i;
                open |= (long) (ranks[i] & 1) << i;
            }
            yes[(first + from) >> 6] = certain;
            unsure[(first + from) >> 6] = open;
        }
    }

    Answer seal() {
        for (int word = 0; word < yes.length; word++) {
            unsure[word] &= ~yes[word];
        }
        return new Answer(BitSet.valueOf(yes), BitSet.valueOf(unsure));
    }
}
