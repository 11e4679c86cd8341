package dipstick.core.population;

import java.util.Arrays;
import java.util.BitSet;

/**
 * A column of small numbers, each the place of a value in a dictionary; 0 stands for missing. Held in as few bytes as
 * the dictionary needs.
 */
public sealed interface Codes {
    int MISSING = 0;

    /** The highest code that a byte holds. */
    int MOST_BYTES = 0xFF;

    /** The highest code that two bytes hold. */
    int MOST_CHARS = 0xFFFF;

    int size();

    int get(int row);

    /**
     * Looks up what the codes of consecutive rows stand for.
     *
     * @param ofCode by code
     * @param first the row of the first of {@code found}
     */
    default void look(byte[] found, byte[] ofCode, int first, int count) {
        for (int i = 0; i < count; i++) {
            found[i] = ofCode[get(first + i)];
        }
    }

    /**
     * Lowers each of {@code ranks} to what the code of its row stands for, where that is less.
     *
     * @param ofCode by code
     * @param first the row of the first of {@code ranks}
     */
    default void lower(byte[] ranks, byte[] ofCode, int first, int count) {
        for (int i = 0; i < count; i++) {
            ranks[i] = (byte) Math.min(ranks[i], ofCode[get(first + i)]);
        }
    }

    /** The codes of {@code rows}, none of which is above {@code highest}. */
    static Codes pack(int[] codes, int size, int highest) {
        if (highest == 0) {
            return new None(size);
        }
        if (highest <= MOST_BYTES) {
            byte[] packed = new byte[size];
            for (int i = 0; i < size; i++) {
                packed[i] = (byte) codes[i];
            }
            return new Bytes(packed);
        }
        if (highest <= MOST_CHARS) {
            char[] packed = new char[size];
            for (int i = 0; i < size; i++) {
                packed[i] = (char) codes[i];
            }
            return new Chars(packed);
        }
        return new Ints(Arrays.copyOf(codes, size));
    }

    /** The same codes in as many bytes as {@code highest} needs, which is none of them above. */
    default Codes packedFor(int highest) {
        int[] codes = new int[size()];
        for (int row = 0; row < codes.length; row++) {
            codes[row] = get(row);
        }
        return pack(codes, codes.length, highest);
    }

    /** All missing. */
    record None(int size) implements Codes {
        @Override
        public int get(int row) {
            return MISSING;
        }
    }

    /** Up to 255 values. */
    final class Bytes implements Codes {
        private final byte[] codes;

        Bytes(byte[] codes) {
            this.codes = codes;
        }

        byte[] array() {
            return codes;
        }

        @Override
        public Codes packedFor(int highest) {
            return highest > 0 && highest <= MOST_BYTES ? this : Codes.super.packedFor(highest);
        }

        @Override
        public int size() {
            return codes.length;
        }

        @Override
        public int get(int row) {
            return codes[row] & 0xFF;
        }

        @Override
        public void look(byte[] found, byte[] ofCode, int first, int count) {
            for (int i = 0; i < count; i++) {
                found[i] = ofCode[codes[first + i] & 0xFF];
            }
        }

        @Override
        public void lower(byte[] ranks, byte[] ofCode, int first, int count) {
            for (int i = 0; i < count; i++) {
                ranks[i] = (byte) Math.min(ranks[i], ofCode[codes[first + i] & 0xFF]);
            }
        }
    }

    /** Up to 65,535 values. */
    final class Chars implements Codes {
        private final char[] codes;

        Chars(char[] codes) {
            this.codes = codes;
        }

        char[] array() {
            return codes;
        }

        @Override
        public Codes packedFor(int highest) {
            return highest > MOST_BYTES && highest <= MOST_CHARS ? this : Codes.super.packedFor(highest);
        }

        @Override
        public int size() {
            return codes.length;
        }

        @Override
        public int get(int row) {
            return codes[row];
        }

        @Override
        public void look(byte[] found, byte[] ofCode, int first, int count) {
            for (int i = 0; i < count; i++) {
                found[i] = ofCode[codes[first + i]];
            }
        }

        @Override
        public void lower(byte[] ranks, byte[] ofCode, int first, int count) {
            for (int i = 0; i < count; i++) {
                ranks[i] = (byte) Math.min(ranks[i], ofCode[codes[first + i]]);
            }
        }
    }

    /** Any number of values. */
    final class Ints implements Codes {
        private final int[] codes;

        Ints(int[] codes) {
            this.codes = codes;
        }

        int[] array() {
            return codes;
        }

        @Override
        public Codes packedFor(int highest) {
            return highest > MOST_CHARS ? this : Codes.super.packedFor(highest);
        }

        @Override
        public int size() {
            return codes.length;
        }

        @Override
        public int get(int row) {
            return codes[row];
        }

        @Override
        public void look(byte[] found, byte[] ofCode, int first, int count) {
            for (int i = 0; i < count; i++) {
                found[i] = ofCode[codes[first + i]];
            }
        }

        @Override
        public void lower(byte[] ranks, byte[] ofCode, int first, int count) {
            for (int i = 0; i < count; i++) {
                ranks[i] = (byte) Math.min(ranks[i], ofCode[codes[first + i]]);
            }
        }
    }

    /** The person of each row, whose code is one more than the person's number. */
    record OfOwners(int[] owners) implements Codes {
        @Override
        public int size() {
            return owners.length;
        }

        @Override
        public int get(int row) {
            return owners[row] + 1;
        }
    }

    /** What is the same for all events of a concept. */
    record OfConcepts(Codes concepts, int[] codeOfConcept) implements Codes {
        @Override
        public int size() {
            return concepts.size();
        }

        @Override
        public int get(int row) {
            return codeOfConcept[concepts.get(row)];
        }
    }

    /** Every row has a value of its own, or none. */
    record AllDifferent(int size, BitSet missing) implements Codes {
        @Override
        public int get(int row) {
            return missing.get(row) ? MISSING : row + 1;
        }
    }
}
