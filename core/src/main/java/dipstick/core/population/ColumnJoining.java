package dipstick.core.population;

import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Joins a column of two populations into one, its rows as {@link Rows} has them. */
record ColumnJoining(Rows rows) {
    private static final int[] SAME_FLAGS = {Codes.MISSING, Column.OfFlag.FALSE, Column.OfFlag.TRUE};

    Column column(Column first, Column second) {
        return switch (first) {
            case Column.OfText texts -> {
                Joined<String> joined = Joined.texts(texts, (Column.OfText) second);
                yield dictionary(texts, (Column.OfText) second, joined, codes(first.codes(), second.codes(), joined));
            }
            case Column.OfNumber numbers -> {
                var joined = Joined.of(numbers.numbers(), ((Column.OfNumber) second).numbers());
                yield new Column.OfNumber(codes(first.codes(), second.codes(), joined), joined.values());
            }
            case Column.OfDate dates -> {
                var joined = Joined.of(dates.days(), ((Column.OfDate) second).days());
                yield new Column.OfDate(codes(first.codes(), second.codes(), joined), new Dates(joined.values()));
            }
            case Column.OfFlag _ ->
                new Column.OfFlag(codes(first.codes(), second.codes(), SAME_FLAGS, Column.OfFlag.TRUE));
            case Column.OfTexts _, Column.OfCodings _ ->
                throw new IllegalStateException("Several values in one row are held by concept: "
                        + first.getClass().getSimpleName());
        };
    }

    Column.OfText identifiers(Identifiers first, Identifiers second) {
        Joined<Identifiers.Beginning> joined = Joined.of(first.beginningOf(), second.beginningOf());
        Codes beginnings = codes(first.beginnings(), second.beginnings(), joined);
        return new Identifiers(beginnings, joined.values(), rows.ints(first.numbers(), second.numbers())).column();
    }

    /** A column of text with a joined dictionary. */
    static Column.OfText dictionary(Column.OfText first, Column.OfText second, Joined<String> joined, Codes codes) {
        return new Column.OfText(
                codes,
                joined.values(),
                joined.beside(first.written(), second.written()),
                codeOf(first.codeOf(), joined.values()));
    }

    private static Map<String, Integer> codeOf(Map<String, Integer> first, List<String> joined) {
        int known = first.size() + 1;
        if (known == joined.size()) {
            return first;
        }
        Map<String, Integer> all = HashMap.newHashMap(joined.size());
        all.putAll(first);
        for (int code = known; code < joined.size(); code++) {
            all.put(joined.get(code), code);
        }
        return Collections.unmodifiableMap(all);
    }

    private Codes codes(Codes first, Codes second, Joined<?> joined) {
        return codes(first, second, joined.codes(), joined.highest());
    }

    private Codes codes(Codes first, Codes second, int[] codeOfSecond, int highest) {
        int[] translated = new int[second.size()];
        for (int row = 0; row < translated.length; row++) {
            translated[row] = codeOfSecond[second.get(row)];
        }
        return rows.codes(first.packedFor(highest), Codes.pack(translated, translated.length, highest));
    }
}
