package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Selection;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
import dipstick.core.population.Events;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A selection bound to a population. What it says about concepts is answered at once for each of them; the rest is asked
 * of the rows of those concepts that are left.
 */
final class EventMatcher {
    private static final Set<String> ENDED = Set.of("resolved", "inactive", "remission", "abated");

    /** Rows that are answered together, few enough that their ranks stay in the nearest cache. */
    private static final int STRETCH = 2048;

    /** An event that is looked up takes as long as so many rows that are read in their order. */
    private static final int ROWS_PER_LOOK = 16;

    private final Seen seen;
    private final Events events;
    /** The rank of each concept. */
    private final byte[] ofConcept;

    private final int[] concepts;
    private final List<FieldMatcher> ofRow = new ArrayList<>();

    /** Takes rows that match, or may match, a stretch at a time. */
    @FunctionalInterface
    interface RowSink {
        /** @param marked the rows, as {@link Matches#marked}; the array is used again for the next stretch */
        void rows(int[] marked, int count);
    }

    EventMatcher(Selection selection, Seen seen) {
        this.seen = seen;
        this.events = seen.population().events();
        this.ofConcept = new byte[events.concepts().count()];
        Arrays.fill(ofConcept, Outcome.YES.rank());
        selection.kinds().ifPresent(this::narrowToKinds);
        selection.terms().ifPresent(sets -> {
            TermMatcher terms = new TermMatcher(sets, events);
            for (int concept = 0; concept < ofConcept.length; concept++) {
                if (ofConcept[concept] > 0 && !terms.matches(concept)) {
                    ofConcept[concept] = Outcome.NO.rank();
                }
            }
        });
        selection.where().forEach(test -> add(FieldMatcher.ofEvents(test, seen)));
        if (selection.active()) {
            addActive();
        }
        add(window(selection.window()));
        this.concepts = IntStream.range(0, ofConcept.length)
                .filter(concept -> ofConcept[concept] > 0)
                .toArray();
    }

    Events events() {
        return events;
    }

    /** The concepts whose events are, or may be, in the selection. */
    int[] concepts() {
        return concepts.clone();
    }

    /** Whether events of a concept are, or may be, in the selection. */
    boolean isAbout(int concept) {
        return ofConcept[concept] > 0;
    }

    /** Whether the event is in the selection: the Kleene and of its parts. */
    Outcome match(int event) {
        Outcome outcome = Outcome.ofRank(ofConcept[events.concepts().ofRow(event)]);
        for (FieldMatcher part : ofRow) {
            if (outcome == Outcome.NO) {
                return outcome;
            }
            outcome = outcome.and(part.of(event));
        }
        return outcome;
    }

    /** The events of one person that are, or may be, in the selection. */
    Matches ofPerson(int person) {
        Matches matches = new Matches();
        events.of(person).forEach(event -> matches.add(event, match(event)));
        return matches;
    }

    /** Whether some people's events are better looked up than found among the rows of their range. */
    boolean isQuickerByPerson(BitSet places, PeopleRange range) {
        long lookedUp = places.stream()
                .mapToLong(place -> events.countOf(range.first() + place))
                .sum();
        long rows = 0;
        for (int concept : concepts) {
            rows += events.firstRow(concept, range.end()) - events.firstRow(concept, range.first());
        }
        return lookedUp * ROWS_PER_LOOK < rows;
    }

    /** The rows of some people that are, or may be, in the selection, concept by concept. */
    void forEachRow(PeopleRange people, RowSink sink) {
        byte[] ranks = new byte[STRETCH];
        int[] marked = new int[STRETCH];
        for (int concept : concepts) {
            int end = events.firstRow(concept, people.end());
            for (int first = events.firstRow(concept, people.first()); first < end; first += STRETCH) {
                int count = Math.min(STRETCH, end - first);
                Arrays.fill(ranks, 0, count, ofConcept[concept]);
                for (FieldMatcher part : ofRow) {
                    part.lower(ranks, first, count);
                }
                int found = mark(ranks, first, count, marked);
                if (found > 0) {
                    sink.rows(marked, found);
                }
            }
        }
    }

    /** Gathers the rows above no; without a branch, since whether the next one matches can't be foreseen. */
    private static int mark(byte[] ranks, int first, int count, int[] marked) {
        int found = 0;
        for (int i = 0; i < count; i++) {
            int rank = ranks[i];
            marked[found] = Matches.marked(first + i, rank);
            found += (rank + 1) >> 1;
        }
        return found;
    }

    private void narrowToKinds(Set<ComparedText> kinds) {
        Set<String> wanted = kinds.stream().map(ComparedText::compared).collect(Collectors.toSet());
        List<String> words = events.kind().compared();
        Concepts all = events.concepts();
        for (int concept = 0; concept < ofConcept.length; concept++) {
            if (!wanted.contains(words.get(all.kind(concept)))) {
                ofConcept[concept] = Outcome.NO.rank();
            }
        }
    }

    /** What is the same for all events of a concept is decided there, everything else row by row. */
    private void add(FieldMatcher part) {
        if (part instanceof FieldMatcher.ByCode(Codes.OfConcepts(Codes ofRows, int[] codeOfConcept), byte[] ranks)) {
            for (int concept = 0; concept < ofConcept.length; concept++) {
                ofConcept[concept] = (byte) Math.min(ofConcept[concept], ranks[codeOfConcept[concept]]);
            }
        } else {
            ofRow.add(part);
        }
    }

    private FieldMatcher window(Window window) {
        EventDates dates = seen.dates();
        if (window instanceof Window.AtAge(var ages)) {
            return new AtAge(new AgeWindow(ages, seen.population().birthDate()), events, dates, seen.today());
        }
        return dates.in(window.daysAsOf(seen.asOf()));
    }

    /** Begun, not ended, and of no status that says it is over (criteria.md section 3, active). */
    private void addActive() {
        Column.OfText status = events.status();
        byte[] ofStatus = new byte[status.codeCount()];
        for (int code = 0; code < ofStatus.length; code++) {
            ofStatus[code] =
                    Outcome.of(!ENDED.contains(status.compared().get(code))).rank();
        }
        byte[] ofUntil = new byte[events.until().codeCount()];
        for (int code = 0; code < ofUntil.length; code++) {
            ofUntil[code] = notEnded(events.until().days().get(code)).rank();
        }
        ofUntil[Codes.MISSING] = Outcome.YES.rank();
        add(new FieldMatcher.ByCode(status.codes(), ofStatus));
        add(new FieldMatcher.ByCode(events.until().codes(), ofUntil));
        add(seen.dates().begun());
    }

    private Outcome notEnded(DateRange until) {
        return until.first() > seen.today() ? Outcome.YES : until.last() <= seen.today() ? Outcome.NO : Outcome.UNSURE;
    }

    /** The window of ages that each event's person has. */
    private record AtAge(AgeWindow window, Events events, EventDates dates, int today) implements FieldMatcher {
        @Override
        public Outcome of(int event) {
            int person = events.owner(event);
            return dates.isDated(event)
                    ? window.of(person, dates.first(event), dates.last(event))
                    : window.ofUndated(person, today);
        }
    }
}
