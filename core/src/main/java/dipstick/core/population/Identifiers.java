package dipstick.core.population;

import dipstick.core.text.NormalText;
import java.util.AbstractList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;

/**
 * Texts that mostly differ from row to row, such as the ids of events: a beginning that many share, and a number. The
 * text of row {@code r} is at {@code r + 1}, as it is in the dictionary of {@link Codes.AllDifferent}.
 */
final class Identifiers extends AbstractList<String> {
    private static final int MOST_DIGITS = 9;

    private final Codes beginnings;
    private final List<Beginning> beginningOf;
    private final int[] numbers;

    /** @param digits how many digits follow; 0 where no number does */
    record Beginning(String text, int digits) {
        String with(int number) {
            if (digits == 0) {
                return text;
            }
            String written = String.valueOf(number);
            return text + "0".repeat(digits - written.length()) + written;
        }
    }

    Identifiers(Codes beginnings, List<Beginning> beginningOf, int[] numbers) {
        this.beginnings = beginnings;
        this.beginningOf = beginningOf;
        this.numbers = numbers;
    }

    /** The column that these are the dictionary of. */
    Column.OfText column() {
        BitSet missing = new BitSet();
        for (int row = 0; row < numbers.length; row++) {
            if (beginnings.get(row) == Codes.MISSING) {
                missing.set(row);
            }
        }
        return new Column.OfText(new Codes.AllDifferent(numbers.length, missing), this, this, Map.of());
    }

    Codes beginnings() {
        return beginnings;
    }

    List<Beginning> beginningOf() {
        return beginningOf;
    }

    int[] numbers() {
        return numbers;
    }

    @Override
    public String get(int code) {
        return code == Codes.MISSING
                ? ""
                : beginningOf.get(beginnings.get(code - 1)).with(numbers[code - 1]);
    }

    @Override
    public int size() {
        return numbers.length + 1;
    }

    /** Gathers them row by row. */
    static final class Builder {
        private final ValueDictionary<Beginning> beginnings = new ValueDictionary<>(new Beginning("", 0));
        private final GrowingInts beginningOf = new GrowingInts();
        private final GrowingInts numbers = new GrowingInts();

        void add(String written) {
            String text = NormalText.identifier(written);
            int end = text.length();
            int digitsFrom = end;
            while (digitsFrom > Math.max(0, end - MOST_DIGITS) && isDigit(text.charAt(digitsFrom - 1))) {
                digitsFrom--;
            }
            boolean none = text.isEmpty();
            beginningOf.add(
                    none
                            ? Codes.MISSING
                            : beginnings.code(new Beginning(text.substring(0, digitsFrom), end - digitsFrom)));
            numbers.add(digitsFrom == end ? 0 : Integer.parseInt(text, digitsFrom, end, 10));
        }

        /** Rows without one. */
        void addMissing(int rows) {
            beginningOf.addZeros(rows);
            numbers.addZeros(rows);
        }

        Column.OfText seal(int[] order) {
            int[] ordered = beginningOf.inOrder(order);
            Codes codes = Codes.pack(ordered, ordered.length, beginnings.highest());
            return new Identifiers(codes, beginnings.values(), numbers.inOrder(order)).column();
        }

        private static boolean isDigit(char sign) {
            return sign >= '0' && sign <= '9';
        }
    }
}
