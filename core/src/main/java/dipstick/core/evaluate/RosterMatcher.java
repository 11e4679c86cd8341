package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Roster;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.records.FieldValue;
import dipstick.core.time.DateRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Whether people are in a roster (criteria.md section 3): the Kleene or of its rows. */
final class RosterMatcher {
    private final Roster roster;
    private final List<Column> columns;
    /** The place in the key by whose value rows are looked up: the first that holds text, if one does. */
    private final Optional<Integer> lookup;

    private final Map<String, List<Roster.Row>> rowsByText = new HashMap<>();
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
    }

    static Answer ofEverybody(Roster roster, Seen seen) {
        RosterMatcher matcher = new RosterMatcher(roster, seen);
        int people = seen.population().size();
        AnswerBuilder answer = new AnswerBuilder(people, Outcome.NO);
        for (int person = 0; person < people; person++) {
            answer.set(person, matcher.answer(person));
        }
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
        for (Roster.Row row : roster.rows()) {
            if (row.cells().get(place).orElse(null) instanceof FieldValue.OfText(String text)) {
                rowsByText.computeIfAbsent(text, _ -> new ArrayList<>()).add(row);
            } else {
                rowsWithoutText.add(row);
            }
        }
    }

    private List<Roster.Row> rowsWorthAsking(int person) {
        if (lookup.isEmpty()) {
            return roster.rows();
        }
        Column.OfText texts = (Column.OfText) columns.get(lookup.get());
        if (texts.isMissing(person)) {
            return roster.rows();
        }
        String text = texts.compared().get(texts.codes().get(person));
        List<Roster.Row> rows = new ArrayList<>(rowsByText.getOrDefault(text, List.of()));
        rows.addAll(rowsWithoutText);
        return rows;
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
