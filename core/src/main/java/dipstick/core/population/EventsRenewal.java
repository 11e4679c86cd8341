package dipstick.core.population;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/** The events of a {@link Renewal}: those of people who stay as they were, and those of the people read anew. */
final class EventsRenewal {
    private final Events before;
    private final Events renewed;
    private final BitSet replaced;
    private final int[] numberOfRenewed;

    private final Rows rows = new Rows();
    private final GrowingInts starts = new GrowingInts();
    private final Concepts.Listing listing = new Concepts.Listing();

    /**
     * @param replaced the people whose events before no longer count
     * @param numberOfRenewed the numbers that the people of {@code renewed} have become
     */
    EventsRenewal(Events before, Events renewed, BitSet replaced, int[] numberOfRenewed) {
        this.before = before;
        this.renewed = renewed;
        this.replaced = replaced;
        this.numberOfRenewed = numberOfRenewed;
    }

    /**
     * @param people where each person comes from
     * @param ids their ids
     */
    Events events(Rows people, Column.OfText ids) {
        ConceptsJoining concepts = new ConceptsJoining(before, renewed);
        sortIn(concepts);
        starts.add(rows.count());
        Concepts sealed = listing.seal(starts.toArray());
        int[] owners = rows.ints(before.owners(), renumbered(renewed.owners()));

        ColumnJoining joining = new ColumnJoining(rows);
        Map<String, Column> columns = new ConcurrentHashMap<>(concepts.columns(sealed));
        Events.ofRows(before.fields()).parallelStream()
                .forEach(field ->
                        columns.put(field.name(), joining.column(before.column(field), renewed.column(field))));
        columns.put("id", joining.identifiers(before.ids(), renewed.ids()));
        columns.put("person_id", Events.personIds(owners, ids));
        ByPerson byPerson = byPerson(people);
        return new Events(before.fields(), owners, sealed, byPerson.starts(), byPerson.rows(), columns);
    }

    private record ByPerson(int[] starts, int[] rows) {}

    private ByPerson byPerson(Rows people) {
        int[] rowOfBefore = new int[before.size()];
        int[] rowOfRenewed = new int[renewed.size()];
        rows.forEachRun((row, count, ofRenewed, source) -> {
            int[] rowOf = ofRenewed ? rowOfRenewed : rowOfBefore;
            for (int i = 0; i < count; i++) {
                rowOf[source + i] = row + i;
            }
        });
        int[] startOfPerson = new int[people.count() + 1];
        int[] rowsByPerson = new int[rows.count()];
        people.forEachRun((person, count, ofRenewed, source) -> {
            Events events = ofRenewed ? renewed : before;
            int[] rowOf = ofRenewed ? rowOfRenewed : rowOfBefore;
            int first = events.startOfPerson()[source];
            int place = startOfPerson[person];
            for (int at = first; at < events.startOfPerson()[source + count]; at++) {
                rowsByPerson[place + at - first] = rowOf[events.rowsByPerson()[at]];
            }
            for (int i = 1; i <= count; i++) {
                startOfPerson[person + i] = place + events.startOfPerson()[source + i] - first;
            }
        });
        return new ByPerson(startOfPerson, rowsByPerson);
    }

    private int[] renumbered(int[] people) {
        return Arrays.stream(people).map(person -> numberOfRenewed[person]).toArray();
    }

    /** Concepts stay in their order, those that only the people read anew have come last; one without events goes. */
    private void sortIn(ConceptsJoining joining) {
        Map<Concepts.About, Integer> come = new LinkedHashMap<>();
        for (int concept = 0; concept < renewed.concepts().count(); concept++) {
            come.put(joining.aboutOfSecond(concept), concept);
        }
        int[] gone = replaced.stream().flatMap(before::of).sorted().toArray();
        Concepts kept = before.concepts();
        for (int concept = 0; concept < kept.count(); concept++) {
            Concepts.About about = kept.about(concept);
            Integer same = come.remove(about);
            sortIn(about, kept.start(concept), kept.end(concept), gone, same == null ? List.of() : inOrder(same));
        }
        come.forEach((about, concept) -> sortIn(about, 0, 0, gone, inOrder(concept)));
    }

    /** @param gone the rows before, in their order, of the people who are replaced */
    private void sortIn(Concepts.About about, int firstKept, int endOfKept, int[] gone, List<Come> come) {
        int start = rows.count();
        int next = firstKept;
        for (Come row : come) {
            int place = Search.first(
                    next,
                    endOfKept,
                    kept -> Runs.Place.of(kept, before.owner(kept), before.on()).compareTo(row.place()) >= 0);
            keep(next, place, gone);
            rows.addSecond(row.row());
            next = place;
        }
        keep(next, endOfKept, gone);
        if (rows.count() > start) {
            starts.add(start);
            listing.add(about);
        }
    }

    private void keep(int from, int end, int[] gone) {
        int next = from;
        int at = Search.first(0, gone.length, each -> gone[each] >= from);
        for (; at < gone.length && gone[at] < end; at++) {
            rows.addFirst(next, gone[at]);
            next = gone[at] + 1;
        }
        rows.addFirst(next, end);
    }

    /** A row of the people read anew, and where it goes by the numbers that these have become. */
    private record Come(Runs.Place place, int row) {}

    private List<Come> inOrder(int concept) {
        return IntStream.range(
                        renewed.concepts().start(concept), renewed.concepts().end(concept))
                .mapToObj(row -> new Come(Runs.Place.of(row, numberOfRenewed[renewed.owner(row)], renewed.on()), row))
                .sorted(Comparator.comparing(Come::place))
                .toList();
    }
}
