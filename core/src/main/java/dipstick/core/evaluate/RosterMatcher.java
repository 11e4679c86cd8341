package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Roster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Whether people are in a roster (criteria.md section 3): the Kleene or of its rows. */
final class RosterMatcher {
    /** Of more rows than one for so many people, most people's values are somewhere among them. */
    private static final int FEW = 10;

    private final List<RosterKey> keys;
    private final List<RosterRows> rows;
    /** Who may be in a row: lowered to 0 where a value that is exact of all rows is none of theirs. */
    private final List<FieldMatcher.ByCode> worthAsking = new ArrayList<>();

    private RosterMatcher(Roster roster, Seen seen) {
        this.keys = RosterKey.of(roster, seen);
        Map<Integer, List<Roster.Row>> alike =
                roster.rows().stream().collect(Collectors.groupingBy(RosterMatcher::exactOf));
        this.rows = alike.entrySet().stream()
                .map(group -> new RosterRows(group.getValue(), keys, group.getKey()))
                .toList();
        if (roster.rows().size() > seen.population().size() / FEW) {
            return;
        }
        int ofAll = alike.keySet().stream().reduce((one, other) -> one & other).orElse(0);
        for (int place = 0; place < keys.size(); place++) {
            int at = place;
            if ((ofAll >> place & 1) == 1) {
                RosterKey key = keys.get(place);
                IntStream numbers = rows.stream().flatMapToInt(group -> group.numbersAt(at));
                worthAsking.add(new FieldMatcher.ByCode(key.codes(), key.worthAsking(numbers)));
            }
        }
    }

    static Answer ofEverybody(Roster roster, Seen seen) {
        RosterMatcher matcher = new RosterMatcher(roster, seen);
        int people = seen.population().size();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            Asking asking = matcher.new Asking();
            byte[] worth = new byte[range.size()];
            Arrays.fill(worth, (byte) 1);
            matcher.worthAsking.forEach(part -> part.lower(worth, range.first(), range.size()));
            for (int place = 0; place < worth.length; place++) {
                if (worth[place] > 0) {
                    answer.set(range.first() + place, asking.answer(range.first() + place));
                }
            }
        });
        return answer.seal();
    }

    private static int exactOf(Roster.Row row) {
        int exact = 0;
        for (int place = 0; place < row.cells().size(); place++) {
            exact |= RosterKey.isExact(row.cells().get(place)) ? 1 << place : 0;
        }
        return exact;
    }

    private Outcome isRow(int person, Roster.Row row) {
        Outcome all = Outcome.YES;
        for (int place = 0; place < keys.size() && all != Outcome.NO; place++) {
            all = all.and(keys.get(place).isEqual(person, row.cells().get(place)));
        }
        return all;
    }

    /** Asks for one person after another, most of whom have the same places exact. */
    private final class Asking {
        private final RosterKey[] places = keys.toArray(RosterKey[]::new);
        private final long[] numbers = new long[places.length];
        /** Of the one before; of nobody yet. */
        private int exact = -1;

        private List<RosterRows.Lookup> lookups = List.of();

        private List<RosterRows.Lookup> lookups() {
            return rows.stream().map(group -> group.by(exact)).toList();
        }

        Outcome answer(int person) {
            int exactOfPerson = 0;
            for (int place = 0; place < places.length; place++) {
                numbers[place] = places[place].numberOf(person);
                exactOfPerson |= numbers[place] == RosterKey.INEXACT ? 0 : 1 << place;
            }
            if (exactOfPerson != exact) {
                exact = exactOfPerson;
                lookups = lookups();
            }
            Outcome any = Outcome.NO;
            for (int i = 0; i < lookups.size() && any != Outcome.YES; i++) {
                any = any.or(answer(person, lookups.get(i)));
            }
            return any;
        }

        private Outcome answer(int person, RosterRows.Lookup lookup) {
            Outcome highest = lookup.isWhole() ? Outcome.YES : Outcome.UNSURE;
            Outcome any = Outcome.NO;
            for (int row = lookup.first(numbers); row >= 0 && any != highest; row = lookup.after(row)) {
                any = any.or(isRow(person, lookup.row(row)));
            }
            return any;
        }
    }
}
