package dipstick.core.population;

import java.util.Arrays;

/**
 * A column of small numbers, each the place of a value in a dictionary; 0 stands for missing. Held in as few bytes as
 * the dictionary needs.
 */
public sealed interface Codes {
    int MISSING = 0;

    int size();

    int get(int row);

    /** The codes of {@code rows}, none of which is above {@code highest}. */
    static Codes pack(int[] codes, int size, int highest) {
        if (highest == 0) {
            return new None(size);
        }
        if (highest <= 0xFF) {
            byte[] packed = new byte[size];
            for (int i = 0; i < size; i++) {
                packed[i] = (byte) codes[i];
            }
            return new Bytes(packed);
        }
        if (highest <= 0xFFFF) {
            char[] packed = new char[size];
            for (int i = 0; i < size; i++) {
                packed[i] = (char) codes[i];
            }
            return new Chars(packed);
        }
        return new Ints(Arrays.copyOf(codes, size));
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

        @Override
        public int size() {
            return codes.length;
        }

        @Override
        public int get(int row) {
            return codes[row] & 0xFF;
        }
    }

    /** Up to 65,535 values. */
    final class Chars implements Codes {
        private final char[] codes;

        Chars(char[] codes) {
            this.codes = codes;
        }

        @Override
        public int size() {
            return codes.length;
        }

        @Override
        public int get(int row) {
            return codes[row];
        }
    }

    /** Any number of values. */
    final class Ints implements Codes {
        private final int[] codes;

        Ints(int[] codes) {
            this.codes = codes;
        }

        @Override
        public int size() {
            return codes.length;
        }

        @Override
        public int get(int row) {
            return codes[row];
        }
    }
}
