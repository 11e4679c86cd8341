package dipstick.core.population;

import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import java.util.List;

/** Gathers one column row by row, then seals it. */
final class ColumnBuilder {
    private final FieldType type;
    private final GrowingInts codes = new GrowingInts();
    private final TextDictionary texts;
    private final ValueDictionary<Double> numbers = new ValueDictionary<>(Double.NaN);
    private final ValueDictionary<DateRange> dates = new ValueDictionary<>(DateRange.NO_DAY);

    ColumnBuilder(FieldType type) {
        this.type = type;
        this.texts = new TextDictionary(type == FieldType.IDENTIFIER ? NormalText::identifier : NormalText::of);
    }

    void addMissing() {
        codes.add(Codes.MISSING);
    }

    void addText(String text) {
        codes.add(texts.code(text));
    }

    void addNumber(double number) {
        codes.add(numbers.code(number));
    }

    void addDate(DateRange days) {
        codes.add(dates.code(days));
    }

    void add(FieldValue value) {
        switch (value) {
            case FieldValue.OfText text -> addText(text.text());
            case FieldValue.OfNumber number -> addNumber(number.number());
            case FieldValue.OfDate date -> addDate(date.days());
            case FieldValue.OfFlag flag -> codes.add(flag.flag() ? Column.OfFlag.TRUE : Column.OfFlag.FALSE);
        }
    }

    /** The column with its rows in another order. */
    Column seal(int[] order) {
        int[] ordered = codes.inOrder(order);
        return switch (type) {
            case IDENTIFIER, TEXT -> texts.seal(Codes.pack(ordered, ordered.length, texts.highest()));
            case NUMBER ->
                new Column.OfNumber(Codes.pack(ordered, ordered.length, numbers.highest()), numbers.values());
            case DATE -> new Column.OfDate(Codes.pack(ordered, ordered.length, dates.highest()), dates.values());
            case FLAG -> new Column.OfFlag(Codes.pack(ordered, ordered.length, Column.OfFlag.TRUE));
        };
    }

    /** A column of sets of texts, whose rows are the places in {@code sets}. */
    static final class OfTexts {
        private final GrowingInts codes = new GrowingInts();
        private final TextDictionary words = new TextDictionary(NormalText::of);
        private final ValueDictionary<List<Integer>> sets = new ValueDictionary<>(List.of());

        void add(List<String> row) {
            List<Integer> set = row.stream()
                    .map(words::code)
                    .filter(code -> code != Codes.MISSING)
                    .toList();
            codes.add(set.isEmpty() ? Codes.MISSING : sets.code(set));
        }

        Column.OfTexts seal(int[] order) {
            int[] ordered = codes.inOrder(order);
            return new Column.OfTexts(
                    Codes.pack(ordered, ordered.length, sets.highest()), sets.values(), words.compared());
        }
    }
}
