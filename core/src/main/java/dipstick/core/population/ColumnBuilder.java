package dipstick.core.population;

import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.time.DateRange;
import org.jspecify.annotations.Nullable;

/** Gathers one column row by row, then seals it. */
final class ColumnBuilder {
    private final FieldType type;
    private final GrowingInts codes = new GrowingInts();
    /** The rows before the first that has a value, which take no room while none has. */
    private int blank;

    private final TextDictionary texts;
    private final ValueDictionary<Double> numbers = new ValueDictionary<>(Double.NaN);
    private final ValueDictionary<DateRange> dates = new ValueDictionary<>(DateRange.NO_DAY);

    ColumnBuilder(FieldType type) {
        this.type = type;
        this.texts = type == FieldType.IDENTIFIER ? TextDictionary.ofIdentifiers() : TextDictionary.ofWords();
    }

    /** @param value null where it is missing */
    void addIfPresent(@Nullable FieldValue value) {
        if (value == null) {
            addMissing(1);
        } else {
            addBlank();
            codes.add(code(value));
        }
    }

    private void addBlank() {
        codes.addZeros(blank);
        blank = 0;
    }

    /** Adds the rows of a file by columns; each value is looked up once, and not once for each row. */
    void add(FieldRows rows) {
        if (rows.values().isEmpty()) {
            addMissing(rows.size());
            return;
        }
        addBlank();
        int[] counts = rows.counts();
        int[] codeOf = new int[counts.length];
        for (int entry = 0; entry < counts.length; entry++) {
            if (counts[entry] > 0) {
                FieldValue value = rows.values().get(entry);
                codeOf[entry] = code(value);
                if (value instanceof FieldValue.OfText(String text)) {
                    texts.count(text, counts[entry] - 1);
                }
            }
        }
        for (int entry : rows.entries()) {
            codes.add(entry == FieldRows.MISSING ? Codes.MISSING : codeOf[entry]);
        }
    }

    void addMissing(int rows) {
        if (codes.size() == 0) {
            blank += rows;
        } else {
            codes.addZeros(rows);
        }
    }

    private int code(FieldValue value) {
        return switch (value) {
            case FieldValue.OfTexts _, FieldValue.OfCodings _ ->
                throw byConcept(value.getClass().getSimpleName());
            case FieldValue.OfText text -> texts.code(text.text());
            case FieldValue.OfNumber number -> numbers.code(number.number());
            case FieldValue.OfDate date -> dates.code(date.days());
            case FieldValue.OfFlag flag -> flag.flag() ? Column.OfFlag.TRUE : Column.OfFlag.FALSE;
        };
    }

    private static IllegalStateException byConcept(Object several) {
        return new IllegalStateException("Several values in one row are held by concept: " + several);
    }

    /** Rows as {@link Dates#byExactDay}. */
    Groups byExactDay() {
        return new Dates(dates.values()).byExactDay(row -> blank > 0 ? Codes.MISSING : codes.get(row));
    }

    /** The column with its rows in another order. */
    Column seal(int[] order) {
        return switch (type) {
            case TEXTS, CODINGS -> throw byConcept(type);
            case IDENTIFIER, TEXT -> texts.seal(ordered(order, texts.highest()));
            case NUMBER -> new Column.OfNumber(ordered(order, numbers.highest()), numbers.values());
            case DATE -> new Column.OfDate(ordered(order, dates.highest()), new Dates(dates.values()));
            case FLAG -> {
                addBlank();
                yield new Column.OfFlag(ordered(order, Column.OfFlag.TRUE));
            }
        };
    }

    private Codes ordered(int[] order, int highest) {
        return highest == Codes.MISSING
                ? Codes.pack(new int[0], order.length, highest)
                : Codes.pack(codes.inOrder(order), order.length, highest);
    }
}
