package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Count;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;

/** Sets the outcomes of people, range by range, then seals them into an {@link Answer}. Nobody is a yes at first. */
final class AnswerBuilder {
    private static final VarHandle EIGHT_RANKS =
            MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);
    private static final long LOWEST_BITS = 0x0101010101010101L;
    private static final long GATHER = 0x0102040810204080L;

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

    /** Makes somebody a yes, or else one of whom it can't be told; {@link #seal} sorts out who is both. */
    void raise(int person, boolean certain) {
        (certain ? yes : unsure)[person >> 6] |= 1L << person;
    }

    /**
     * Sets the outcomes of people one after another, from the first of a word on, of whom none was set before. Eight
     * ranks are taken at a time, and a multiplication moves the same bit of each next to each other.
     *
     * @param ranks of {@code count} people; there is room for a multiple of eight
     */
    void setAll(int first, byte[] ranks, int count) {
        for (int from = 0; from < count; from += Byte.SIZE) {
            long eight = (long) EIGHT_RANKS.get(ranks, from);
            int shift = from & (Long.SIZE - 1);
            yes[(first + from) >> 6] |= ((((eight >>> 1) & LOWEST_BITS) * GATHER) >>> 56) << shift;
            unsure[(first + from) >> 6] |= (((eight & LOWEST_BITS) * GATHER) >>> 56) << shift;
        }
    }

    /**
     * Sets the outcomes of a range of people, of whom none was set before, by how many were counted of each.
     *
     * @param certain by place in the range, and {@code possible} likewise those besides
     */
    void setAll(PeopleRange range, int[] certain, int[] possible, Count count) {
        for (int from = 0; from < range.size(); from += Long.SIZE) {
            int end = Math.min(range.size(), from + Long.SIZE);
            long met = 0;
            int open = 0;
            for (int place = from; place < end; place++) {
                // Neither fewer than the least nor more than the most: told by the sign, so that nothing branches.
                int apart = (certain[place] - count.least()) | (count.most() - certain[place]);
                met |= (long) (~apart >>> 31) << place;
                open |= possible[place];
            }
            if (open == 0) {
                yes[(range.first() + from) >> 6] = met;
            } else {
                for (int place = from; place < end; place++) {
                    set(range.first() + place, count.answer(certain[place], certain[place] + possible[place]));
                }
            }
        }
    }

    Answer seal() {
        for (int word = 0; word < yes.length; word++) {
            unsure[word] &= ~yes[word];
        }
        return Answer.of(yes, unsure);
    }
}
