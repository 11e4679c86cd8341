package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Roster;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.records.FieldValue;
import dipstick.core.time.DateRange;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * One place of a roster's key bound to its column. Where a value is exact, on both sides, whether two are equal is told by
 * a number that stands for each.
 */
sealed interface RosterKey {
    /** What no number is. */
    long INEXACT = Long.MIN_VALUE;

    /** What stands for the person's value; {@link #INEXACT} where it is missing or not exact. */
    long numberOf(int person);

    /** What stands for a row's exact value; of one that nobody on record has, nothing does. */
    OptionalInt numberOf(FieldValue cell);

    /**
     * By the codes of the column: 1 for those that are equal to, or may be, one of some exact values of rows, and 0 for the
     * others.
     *
     * @param numbers what stands for the values
     */
    byte[] worthAsking(IntStream numbers);

    Codes codes();

    /** Whether the value of a person and of a row are the same (criteria.md section 3, roster). */
    Outcome isEqual(int person, Optional<FieldValue> cell);

    static List<RosterKey> of(Roster roster, Seen seen) {
        return roster.key().stream()
                .map(field -> of(seen.population().column(field)))
                .toList();
    }

    private static RosterKey of(Column column) {
        return switch (column) {
            case Column.OfText texts -> Coded.of(texts);
            case Column.OfNumber numbers -> new Numeric(numbers);
            case Column.OfFlag flags -> Coded.of(flags);
            case Column.OfDate dates -> new Day(dates);
            case Column.OfTexts _, Column.OfCodings _ ->
                throw new IllegalStateException(
                        "A key holds one value, not " + column.getClass().getSimpleName());
        };
    }

    /** A row's cell is exact if it is there and, where it is a date, names one day. */
    static boolean isExact(Optional<FieldValue> cell) {
        return cell.filter(value -> !(value instanceof FieldValue.OfDate(DateRange days)) || days.isExact())
                .isPresent();
    }

    /**
     * A text or a flag, whose number is its code.
     *
     * @param codeOf of a row's value
     */
    record Coded(Codes codes, int codeCount, Function<FieldValue, OptionalInt> codeOf) implements RosterKey {
        static Coded of(Column.OfText texts) {
            return new Coded(
                    texts.codes(),
                    texts.codeCount(),
                    cell -> cell instanceof FieldValue.OfText(String text) ? codeOf(text, texts) : OptionalInt.empty());
        }

        private static OptionalInt codeOf(String text, Column.OfText texts) {
            Integer code = texts.codeOf().get(text);
            return code == null ? OptionalInt.empty() : OptionalInt.of(code);
        }

        static Coded of(Column.OfFlag flags) {
            return new Coded(
                    flags.codes(),
                    flags.codeCount(),
                    cell -> OptionalInt.of(
                            cell instanceof FieldValue.OfFlag(boolean flag) && flag
                                    ? Column.OfFlag.TRUE
                                    : Column.OfFlag.FALSE));
        }

        @Override
        public byte[] worthAsking(IntStream numbers) {
            byte[] worth = new byte[codeCount];
            worth[Codes.MISSING] = 1;
            numbers.forEach(code -> worth[code] = 1);
            return worth;
        }

        @Override
        public long numberOf(int person) {
            int code = codes.get(person);
            return code == Codes.MISSING ? INEXACT : code;
        }

        @Override
        public OptionalInt numberOf(FieldValue cell) {
            return codeOf.apply(cell);
        }

        @Override
        public Outcome isEqual(int person, Optional<FieldValue> cell) {
            int code = codes.get(person);
            return code != Codes.MISSING && cell.isPresent()
                    ? Outcome.of(numberOf(cell.get()).equals(OptionalInt.of(code)))
                    : Outcome.UNSURE;
        }
    }

    /** Different values may have one number, so it only finds those worth comparing. */
    record Numeric(Column.OfNumber column) implements RosterKey {
        @Override
        public Codes codes() {
            return column.codes();
        }

        @Override
        public byte[] worthAsking(IntStream numbers) {
            byte[] worth = new byte[column.codeCount()];
            Arrays.fill(worth, (byte) 1);
            return worth;
        }

        @Override
        public long numberOf(int person) {
            int code = column.codes().get(person);
            return code == Codes.MISSING ? INEXACT : hash(column.numbers().get(code));
        }

        @Override
        public OptionalInt numberOf(FieldValue cell) {
            return cell instanceof FieldValue.OfNumber(double value)
                    ? OptionalInt.of(hash(value))
                    : OptionalInt.empty();
        }

        /** Minus nothing is nothing. */
        private static int hash(double value) {
            return Double.hashCode(value + 0.0);
        }

        @Override
        public Outcome isEqual(int person, Optional<FieldValue> cell) {
            int code = column.codes().get(person);
            return code != Codes.MISSING && cell.isPresent() && cell.get() instanceof FieldValue.OfNumber(double value)
                    ? Outcome.of(column.numbers().get(code) == value)
                    : Outcome.UNSURE;
        }
    }

    /** The number is the day. */
    record Day(Column.OfDate column) implements RosterKey {
        @Override
        public Codes codes() {
            return column.codes();
        }

        @Override
        public byte[] worthAsking(IntStream numbers) {
            int[] days = numbers.toArray();
            int earliest = Arrays.stream(days).min().orElse(0);
            BitSet listed = new BitSet();
            Arrays.stream(days).forEach(day -> listed.set(day - earliest));
            byte[] worth = new byte[column.codeCount()];
            for (int code = 0; code < worth.length; code++) {
                int day = column.days().first(code);
                boolean exact = code != Codes.MISSING && day == column.days().last(code);
                worth[code] = (byte) (exact && (day < earliest || !listed.get(day - earliest)) ? 0 : 1);
            }
            return worth;
        }

        @Override
        public long numberOf(int person) {
            int code = column.codes().get(person);
            int day = column.days().first(code);
            return code != Codes.MISSING && day == column.days().last(code) ? day : INEXACT;
        }

        @Override
        public OptionalInt numberOf(FieldValue cell) {
            return cell instanceof FieldValue.OfDate(DateRange days)
                    ? OptionalInt.of(days.first())
                    : OptionalInt.empty();
        }

        @Override
        public Outcome isEqual(int person, Optional<FieldValue> cell) {
            int code = column.codes().get(person);
            if (code == Codes.MISSING || !(cell.orElse(null) instanceof FieldValue.OfDate(DateRange other))) {
                return Outcome.UNSURE;
            }
            DateRange one = column.days().get(code);
            if (one.isExact() && one.equals(other)) {
                return Outcome.YES;
            }
            return one.liesIn(other) == Outcome.NO ? Outcome.NO : Outcome.UNSURE;
        }
    }
}
