package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Selection;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
import dipstick.core.population.Events;
import dipstick.core.population.Runs;
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
    /** What is asked of each row. */
    private final List<FieldMatcher> ofRow = new ArrayList<>();

    /** What is asked of a row of an exact day besides that it lies within {@link #days}. */
    private final List<FieldMatcher> ofExactRow = new ArrayList<>();

    /** The days of the window; all days where that is one of ages. */
    private final DateRange days;

    /** Takes rows that match, or may match, a stretch at a time. */
    @FunctionalInterface
    interface RowSink {
        /** @param marked the rows, as {@link Matches#marked}; the array is used again for the next stretch */
        void rows(int[] marked, int count);

        /**
         * Rows that lie one after another, each of which matches for certain.
         *
         * @param spare room for a stretch
         */
        default void certain(int first, int end, int[] spare) {
            for (int from = first; from < end; from += STRETCH) {
                int count = Math.min(STRETCH, end - from);
                for (int i = 0; i < count; i++) {
                    spare[i] = from + i;
                }
                rows(spare, count);
            }
        }
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
        ofExactRow.addAll(ofRow);
        this.days = addWindow(selection.window());
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

    /** Whether some people's events are better looked up than found among the rows of their range; nobody's always are. */
    boolean isQuickerByPerson(BitSet places, PeopleRange range) {
        if (places.isEmpty()) {
            return true;
        }
        long most = rows(range) / ROWS_PER_LOOK;
        long looks = places.cardinality();
        for (int place = places.nextSetBit(0); looks < most && place >= 0; place = places.nextSetBit(place + 1)) {
            looks += events.countOf(range.first() + place);
        }
        return looks < most;
    }

    /** How many rows of these people there are of the concepts of the selection. */
    private long rows(PeopleRange range) {
        Runs runs = events.runs();
        long rows = 0;
        for (int concept : concepts) {
            int run = runs.find(concept, range.block());
            rows += run == Runs.NONE ? 0 : runs.end(run) - runs.start(run);
        }
        return rows;
    }

    /** The rows of some people that are, or may be, in the selection, concept by concept. */
    void forEachRow(PeopleRange people, RowSink sink) {
        forEachRow(people, DateRange.ALL_DAYS, sink);
    }

    /** Those of them that are not of an exact day outside of {@code some}. */
    void forEachRow(PeopleRange people, DateRange some, RowSink sink) {
        DateRange wanted = new DateRange(Math.max(days.first(), some.first()), Math.min(days.last(), some.last()));
        Runs runs = events.runs();
        Stretches stretches = new Stretches(sink);
        for (int concept : concepts) {
            int run = runs.find(concept, people.block());
            if (run != Runs.NONE) {
                if (!wanted.isEmpty()) {
                    stretches.askExact(concept, runs.firstIn(run, wanted), runs.endIn(run, wanted));
                }
                stretches.ask(ofRow, ofConcept[concept], runs.exactEnd(run), runs.end(run));
            }
        }
    }

    /** Asks rows a stretch at a time. */
    private final class Stretches {
        private final RowSink sink;
        private final byte[] ranks = new byte[STRETCH];
        private final int[] marked = new int[STRETCH];

        Stretches(RowSink sink) {
            this.sink = sink;
        }

        /** Rows of an exact day in the window. */
        void askExact(int concept, int from, int end) {
            if (ofExactRow.isEmpty() && ofConcept[concept] == Outcome.YES.rank()) {
                sink.certain(from, end, marked);
            } else {
                ask(ofExactRow, ofConcept[concept], from, end);
            }
        }

        void ask(List<FieldMatcher> parts, byte rank, int from, int end) {
            for (int first = from; first < end; first += STRETCH) {
                int count = Math.min(STRETCH, end - first);
                int found = found(parts, rank, first, count);
                if (found > 0) {
                    sink.rows(marked, found);
                }
            }
        }

        private int found(List<FieldMatcher> parts, byte rank, int first, int count) {
            if (parts.isEmpty() || rank != Outcome.YES.rank()) {
                Arrays.fill(ranks, 0, count, rank);
                parts.forEach(part -> part.lower(ranks, first, count));
            } else {
                parts.getFirst().rank(ranks, first, count);
                parts.subList(1, parts.size()).forEach(part -> part.lower(ranks, first, count));
            }
            return mark(ranks, first, count, marked);
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

    /** @return the days that a row of an exact day has to lie within */
    private DateRange addWindow(Window window) {
        EventDates dates = seen.dates();
        if (window instanceof Window.AtAge(var ages)) {
            FieldMatcher atAge =
                    new AtAge(new AgeWindow(ages, seen.population().birthDate()), events, dates, seen.today());
            ofRow.add(atAge);
            ofExactRow.add(atAge);
            return DateRange.ALL_DAYS;
        }
        DateRange within = window.daysAsOf(seen.asOf());
        ofRow.add(dates.in(within));
        return within;
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
