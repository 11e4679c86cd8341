package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Selection;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A selection bound to a population: how each event answers it, and which events are worth asking. */
final class EventMatcher {
    private static final Set<String> ENDED = Set.of("resolved", "inactive", "remission", "abated");

    private final Seen seen;
    private final Events events;
    private final Optional<BitSet> kinds;
    private final Optional<TermMatcher> terms;
    /** Everything else that must hold, the window last. */
    private final List<FieldMatcher> parts = new ArrayList<>();

    EventMatcher(Selection selection, Seen seen) {
        this.seen = seen;
        this.events = seen.population().events();
        this.kinds = selection.kinds().map(this::kindCodes);
        this.terms = selection.terms().map(sets -> new TermMatcher(sets, events));
        for (FieldTest test : selection.where()) {
            parts.add(FieldMatcher.ofEvents(test, seen));
        }
        if (selection.active()) {
            parts.add(active());
        }
        parts.add(window(selection.window()));
    }

    /** Whether the event is in the selection: the Kleene and of its parts. */
    Outcome match(int event) {
        if (kinds.isPresent() && !kinds.get().get(events.kind().codes().get(event))) {
            return Outcome.NO;
        }
        if (terms.isPresent() && !terms.get().matches(event)) {
            return Outcome.NO;
        }
        int person = events.owner(event);
        Outcome outcome = Outcome.YES;
        for (FieldMatcher part : parts) {
            outcome = outcome.and(part.of(event, person));
            if (outcome == Outcome.NO) {
                return Outcome.NO;
            }
        }
        return outcome;
    }

    /** The events that may match, in ascending order; by the shortest posting lists that hold them all. */
    int[] candidates() {
        int byTerms = terms.map(TermMatcher::candidateCount).orElse(Integer.MAX_VALUE);
        int byKinds = kinds.map(
                        codes -> codes.stream().map(events.byKind()::count).sum())
                .orElse(Integer.MAX_VALUE);
        if (terms.isPresent() && byTerms <= byKinds) {
            int[] rows = new int[byTerms];
            terms.get().copyCandidates(rows);
            return ascending(rows);
        }
        if (kinds.isPresent()) {
            int[] rows = new int[byKinds];
            int at = 0;
            for (int code : kinds.get().stream().toArray()) {
                at = events.byKind().copy(code, rows, at);
            }
            return ascending(rows);
        }
        int[] all = new int[events.size()];
        Arrays.setAll(all, event -> event);
        return all;
    }

    private static int[] ascending(int[] rows) {
        Arrays.sort(rows);
        int kept = 0;
        for (int i = 0; i < rows.length; i++) {
            if (i == 0 || rows[i] != rows[i - 1]) {
                rows[kept++] = rows[i];
            }
        }
        return kept == rows.length ? rows : Arrays.copyOf(rows, kept);
    }

    private BitSet kindCodes(Set<ComparedText> names) {
        BitSet codes = new BitSet();
        for (ComparedText name : names) {
            Integer code = events.kind().codeOf().get(name.compared());
            if (code != null) {
                codes.set(code);
            }
        }
        return codes;
    }

    private FieldMatcher window(Window window) {
        Codes on = events.on().codes();
        EventDates dates = seen.dates();
        int today = seen.today();
        if (window instanceof Window.AtAge(var ages)) {
            AgeWindow atAge = new AgeWindow(ages, seen.population().birthDate());
            return (event, person) -> dates.isDated(event)
                    ? atAge.of(person, dates.first(event), dates.last(event))
                    : atAge.ofUndated(person, today);
        }
        DateRange days = window.daysAsOf(seen.asOf());
        Outcome[] outcomes = new Outcome[dates.byCode().size()];
        Arrays.setAll(outcomes, code -> dates.byCode().get(code).liesIn(days));
        outcomes[Codes.MISSING] = EventDates.undatedIn(days, today);
        return (event, person) -> outcomes[on.get(event)];
    }

    /** Begun, not ended, and of no status that says it is over (criteria.md section 3, active). */
    private FieldMatcher active() {
        int today = seen.today();
        Codes until = events.until().codes();
        List<DateRange> untilDays = events.until().days();
        Column.OfText status = events.status();
        BitSet over = new BitSet();
        ENDED.stream()
                .filter(status.codeOf()::containsKey)
                .forEach(word -> over.set(status.codeOf().get(word)));
        return (event, person) -> {
            if (over.get(status.codes().get(event))) {
                return Outcome.NO;
            }
            Outcome begun = begun(seen.dates().first(event), seen.dates().last(event), today);
            int end = until.get(event);
            return end == Codes.MISSING ? begun : begun.and(notEnded(untilDays.get(end), today));
        };
    }

    private static Outcome begun(int first, int last, int today) {
        return last <= today ? Outcome.YES : first > today ? Outcome.NO : Outcome.UNSURE;
    }

    private static Outcome notEnded(DateRange until, int today) {
        return until.first() > today ? Outcome.YES : until.last() <= today ? Outcome.NO : Outcome.UNSURE;
    }
}
