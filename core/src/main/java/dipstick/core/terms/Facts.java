package dipstick.core.terms;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.records.Fields;
import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Gathers what is known of a term from its records. */
final class Facts {
    private final Events events;
    private final Column.OfText source;

    Facts(Events events) {
        this.events = events;
        this.source = (Column.OfText) events.column(Fields.EVENT.find("source").orElseThrow());
    }

    FoundTerm of(Term term, String says, List<Integer> concepts) {
        BitSet people = new BitSet();
        Map<String, Integer> kinds = new HashMap<>();
        Map<String, Integer> sources = new HashMap<>();
        int records = 0;
        int besides = 0;
        int first = Integer.MAX_VALUE;
        int last = Integer.MIN_VALUE;
        Column.OfDate on = events.on();
        for (int concept : concepts) {
            int start = events.concepts().start(concept);
            int end = events.concepts().end(concept);
            records += end - start;
            besides += isCodeOf(concept, term) ? 0 : end - start;
            kinds.merge(events.kind().written().get(events.concepts().kind(concept)), end - start, Integer::sum);
            for (int row = start; row < end; row++) {
                people.set(events.owner(row));
                int from = source.codes().get(row);
                if (from != Codes.MISSING) {
                    sources.merge(source.written().get(from), 1, Integer::sum);
                }
                int day = on.codes().get(row);
                if (day != Codes.MISSING) {
                    first = Math.min(first, on.days().get(day).first());
                    last = Math.max(last, on.days().get(day).last());
                }
            }
        }
        return new FoundTerm(
                term,
                says,
                records,
                people.cardinality(),
                besides,
                byCount(kinds),
                byCount(sources),
                day(first),
                day(last));
    }

    /** Whether a term that is a code is the first code of the concept. */
    private boolean isCodeOf(int concept, Term term) {
        return term.sort() != Term.Sort.CODE
                || (isSame(term.term(), events.code(), events.concepts().code(concept))
                        && isSame(
                                term.system(),
                                events.system(),
                                events.concepts().system(concept)));
    }

    private static boolean isSame(String written, Column.OfText column, int code) {
        return NormalText.of(written).equals(column.compared().get(code));
    }

    private static List<String> byCount(Map<String, Integer> counts) {
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .toList();
    }

    private static Optional<LocalDate> day(int day) {
        return day <= DateRange.OPEN_FIRST || day >= DateRange.OPEN_LAST
                ? Optional.empty()
                : Optional.of(LocalDate.ofEpochDay(day));
    }
}
