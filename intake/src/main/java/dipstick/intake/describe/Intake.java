package dipstick.intake.describe;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A description of one kind of file: how its table is found and what becomes of its columns ({@code docs/intakes.md}).
 *
 * @param source the system that writes such files
 * @param rank what another source brought gives way to what this one says where that one ranks lower; 0 where it is absent
 *
 * @param people how people are made of a row; nobody where it is absent
 * @param events how event records are made of a row, each kind of record by itself
 */
public record Intake(
        String format,
        String id,
        String name,
        String source,
        Optional<Integer> rank,
        TableShape table,
        Written written,
        Whose whose,
        Optional<PeopleOf> people,
        List<EventsOf> events) {
    public static final String FORMAT = "dipstick-intake/1";

    public Intake(
            String format,
            String id,
            String name,
            @Nullable String source,
            Optional<Integer> rank,
            @Nullable TableShape table,
            @Nullable Written written,
            @Nullable Whose whose,
            Optional<PeopleOf> people,
            @Nullable List<EventsOf> events) {
        this.format = format;
        this.id = id;
        this.name = name;
        this.source = source == null ? "" : source;
        this.rank = rank;
        this.table = table == null ? TableShape.ANY : table;
        this.written = written == null ? Written.AS_ISO : written;
        this.whose = whose == null ? Whose.NOBODY : whose;
        this.people = people;
        this.events = events == null ? List.of() : List.copyOf(events);
    }

    /**
     * A person of a row.
     *
     * @param fields by the name of the person field, with its type where it is a custom one that is no text
     * @param unlessBlank columns at least one of which is not blank where there is a person
     */
    public record PeopleOf(Map<String, Maker> fields, Meaning meaning, boolean blanksClear, List<String> unlessBlank) {
        public PeopleOf(
                @Nullable Map<String, Maker> fields,
                @Nullable Meaning meaning,
                boolean blanksClear,
                @Nullable List<String> unlessBlank) {
            this.fields = fields == null ? Map.of() : inOrder(fields);
            this.meaning = meaning == null ? Meaning.ADDS_AND_CHANGES : meaning;
            this.blanksClear = blanksClear;
            this.unlessBlank = unlessBlank == null ? List.of() : List.copyOf(unlessBlank);
        }
    }

    /**
     * One record, or several, of a row.
     *
     * @param fields by the name of the event field, with its type where it is a custom one that is no text
     * @param identity what together tells such a record from every other; none where it has a number or only all fields do
     * @param unlessBlank columns at least one of which is not blank where there is a record
     * @param each several records of a row, or one where it is absent
     * @param blanksClear whether a blank cell clears a field of a record on file
     * @param everything whether the file names all records of its source, of the kinds in it: those that are missing go
     */
    public record EventsOf(
            Map<String, Maker> fields,
            List<Maker> identity,
            List<String> unlessBlank,
            Optional<Each> each,
            boolean blanksClear,
            boolean everything) {
        public EventsOf(
                Map<String, Maker> fields,
                @Nullable List<Maker> identity,
                @Nullable List<String> unlessBlank,
                Optional<Each> each,
                boolean blanksClear,
                boolean everything) {
            this.fields = inOrder(fields);
            this.identity = identity == null ? List.of() : List.copyOf(identity);
            this.unlessBlank = unlessBlank == null ? List.of() : List.copyOf(unlessBlank);
            this.each = each;
            this.blanksClear = blanksClear;
            this.everything = everything;
        }
    }

    /**
     * A record for each of these columns that is not blank, or for each part of their cells.
     *
     * @param split between the parts of a cell; the whole cell where it is absent
     */
    public record Each(List<String> columns, Optional<String> split) {
        public Each {
            columns = List.copyOf(columns);
        }
    }

    /**
     * Whose a row is: the person's number, or several fields together.
     *
     * @param by by the name of a person field
     * @param others further numbers by which this source knows the same person, parted by semicolons
     * @param merged numbers of people who this source says are the same person, parted by semicolons
     */
    public record Whose(Optional<Maker> number, Map<String, Maker> by, Optional<Maker> others, Optional<Maker> merged) {
        static final Whose NOBODY = new Whose(Optional.empty(), Map.of(), Optional.empty(), Optional.empty());

        public Whose(
                Optional<Maker> number,
                @Nullable Map<String, Maker> by,
                Optional<Maker> others,
                Optional<Maker> merged) {
            this.number = number;
            this.by = by == null ? Map.of() : inOrder(by);
            this.others = others;
            this.merged = merged;
        }
    }

    /** The same with another id. */
    public Intake called(String other) {
        return new Intake(format, other, name, source, rank, table, written, whose, people, events);
    }

    /** The same for tables that are found otherwise. */
    public Intake with(TableShape other) {
        return new Intake(format, id, name, source, rank, other, written, whose, people, events);
    }

    /** The same for files that write dates or numbers otherwise. */
    public Intake with(Written other) {
        return new Intake(format, id, name, source, rank, table, other, whose, people, events);
    }

    /** The order is for people who read the document; it means nothing. */
    private static Map<String, Maker> inOrder(Map<String, Maker> fields) {
        return Collections.unmodifiableMap(new LinkedHashMap<>(fields));
    }

    /** Every column of which something is made, by name. */
    public Stream<String> columns() {
        Stream<Maker> makers = Stream.of(
                        whose.number().stream(),
                        whose.by().values().stream(),
                        whose.others().stream(),
                        whose.merged().stream(),
                        people.stream().flatMap(made -> made.fields().values().stream()),
                        events.stream().flatMap(made -> made.fields().values().stream()),
                        events.stream().flatMap(made -> made.identity().stream()))
                .flatMap(part -> part);
        Stream<String> each = events.stream()
                .flatMap(made -> Stream.concat(
                        made.each().stream().flatMap(one -> one.columns().stream()), made.unlessBlank().stream()));
        Stream<String> ofPeople = people.stream().flatMap(made -> made.unlessBlank().stream());
        return Stream.of(makers.flatMap(Maker::allColumns), each, ofPeople)
                .flatMap(part -> part)
                .distinct();
    }
}
