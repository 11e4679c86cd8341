package dipstick.core.population;

import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.time.DateRange;
import org.jspecify.annotations.Nullable;

/** Gathers one column row by row, then seals it. */
final class ColumnBuilder {
    private final FieldType type;
    private final GrowingInts codes = new GrowingInts();
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
            codes.add(Codes.MISSING);
        } else {
            add(value);
        }
    }

    private void addText(String text) {
        codes.add(texts.code(text));
    }

    private void addNumber(double number) {
        codes.add(numbers.code(number));
    }

    private void addDate(DateRange days) {
        codes.add(dates.code(days));
    }

    private void add(FieldValue value) {
        switch (value) {
            case FieldValue.OfTexts _, FieldValue.OfCodings _ -> throw byConcept();
            case FieldValue.OfText text -> addText(text.text());
            case FieldValue.OfNumber number -> addNumber(number.number());
            case FieldValue.OfDate date -> addDate(date.days());
            case FieldValue.OfFlag flag -> codes.add(flag.flag() ? Column.OfFlag.TRUE : Column.OfFlag.FALSE);
        }
    }

    private static IllegalStateException byConcept() {
        return new IllegalStateException("Several values in one row are held by concept");
    }

    /** Rows as {@link Dates#byExactDay}. */
    Groups byExactDay() {
        return new Dates(dates.values()).byExactDay(codes::get);
    }

    /** The column with its rows in another order. */
    Column seal(int[] order) {
        int[] ordered = codes.inOrder(order);
        return switch (type) {
            case TEXTS, CODINGS -> throw byConcept();
            case IDENTIFIER, TEXT -> texts.seal(Codes.pack(ordered, ordered.length, texts.highest()));
            case NUMBER ->
                new Column.OfNumber(Codes.pack(ordered, ordered.length, numbers.highest()), numbers.values());
            case DATE ->
                new Column.OfDate(Codes.pack(ordered, ordered.length, dates.highest()), new Dates(dates.values()));
            case FLAG -> new Column.OfFlag(Codes.pack(ordered, ordered.length, Column.OfFlag.TRUE));
        };
    }
}
