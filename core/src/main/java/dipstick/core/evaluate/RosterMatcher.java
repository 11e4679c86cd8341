package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Roster;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.records.FieldValue;
import dipstick.core.time.DateRange;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Whether people are in a roster (criteria.md section 3): the Kleene or of its rows. */
final class RosterMatcher {
    private final Roster roster;
    private final List<Column> columns;
    /** The place in the key by whose value rows are looked up: the first that holds text, if one does. */
    private final Optional<Integer> lookup;

    /** By the code of the looked up text in its column. */
    private final Map<Integer, List<Roster.Row>> rowsByCode = new HashMap<>();

    /** The codes that have rows: most people's have none, which is told by a bit. */
    private final BitSet listed = new BitSet();

    private final List<Roster.Row> rowsWithoutText = new ArrayList<>();

    RosterMatcher(Roster roster, Seen seen) {
        this.roster = roster;
        this.columns = roster.key().stream()
                .map(field -> seen.population().column(field))
                .toList();
        this.lookup = roster.key().stream()
                .filter(field -> field.type().isText())
                .findFirst()
                .map(roster.key()::indexOf);
        lookup.ifPresent(this::indexRows);
        rowsByCode.keySet().forEach(listed::set);
    }

    static Answer ofEverybody(Roster roster, Seen seen) {
        RosterMatcher matcher = new RosterMatcher(roster, seen);
        int people = seen.population().size();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            for (int person = range.first(); person < range.end(); person++) {
                answer.set(person, matcher.answer(person));
            }
        });
        return answer.seal();
    }

    Outcome answer(int person) {
        Outcome any = Outcome.NO;
        for (Roster.Row row : rowsWorthAsking(person)) {
            any = any.or(isRow(person, row));
            if (any == Outcome.YES) {
                return any;
            }
        }
        return any;
    }

    private void indexRows(int place) {
        Map<String, Integer> codeOf = ((Column.OfText) columns.get(place)).codeOf();
        for (Roster.Row row : roster.rows()) {
            if (row.cells().get(place).orElse(null) instanceof FieldValue.OfText(String text)) {
                // A text that nobody has is looked up by nobody whose text is known.
                if (codeOf.containsKey(text)) {
                    rowsByCode
                            .computeIfAbsent(codeOf.get(text), _ -> new ArrayList<>())
                            .add(row);
                }
            } else {
                rowsWithoutText.add(row);
            }
        }
    }

    private List<Roster.Row> rowsWorthAsking(int person) {
        if (lookup.isEmpty()) {
            return roster.rows();
        }
        int code = columns.get(lookup.get()).codes().get(person);
        if (code == Codes.MISSING) {
            return roster.rows();
        }
        List<Roster.Row> rows = listed.get(code) ? rowsByCode.getOrDefault(code, List.of()) : List.of();
        return rowsWithoutText.isEmpty()
                ? rows
                : Stream.concat(rows.stream(), rowsWithoutText.stream()).toList();
    }

    private Outcome isRow(int person, Roster.Row row) {
        Outcome all = Outcome.YES;
        for (int i = 0; i < columns.size() && all != Outcome.NO; i++) {
            all = all.and(isEqual(columns.get(i), person, row.cells().get(i)));
        }
        return all;
    }

    private static Outcome isEqual(Column column, int person, Optional<FieldValue> cell) {
        int code = column.codes().get(person);
        if (code == Codes.MISSING || cell.isEmpty()) {
            return Outcome.UNSURE;
        }
        return switch (cell.get()) {
            case FieldValue.OfTexts _, FieldValue.OfCodings _ ->
                throw new IllegalStateException("No key has several values");
            case FieldValue.OfText(String text) ->
                Outcome.of(((Column.OfText) column).compared().get(code).equals(text));
            case FieldValue.OfNumber(double number) ->
                Outcome.of(((Column.OfNumber) column).numbers().get(code) == number);
            case FieldValue.OfFlag(boolean flag) -> Outcome.of(flag == (code == Column.OfFlag.TRUE));
            case FieldValue.OfDate(DateRange days) ->
                isSameDay(((Column.OfDate) column).days().get(code), days);
        };
    }

    private static Outcome isSameDay(DateRange one, DateRange other) {
        if (one.isExact() && one.equals(other)) {
            return Outcome.YES;
        }
        return one.liesIn(other) == Outcome.NO ? Outcome.NO : Outcome.UNSURE;
    }
}
