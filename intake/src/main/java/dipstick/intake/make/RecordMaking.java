package dipstick.intake.make;

import dipstick.core.export.FieldCell;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.records.PersonRecord;
import dipstick.core.text.NormalText;
import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Maker;
import dipstick.intake.make.Trouble.Reason;
import dipstick.intake.rows.Cell;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.Row;
import java.io.IOException;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Makes records of the rows of one file, as its intake says. */
public final class RecordMaking {
    private static final int MOST_NAMED = 5;

    private static final String NUMBERS_BETWEEN = ";";

    private final Intake intake;
    private final PeopleKnown known;
    private final MadeSink sink;
    private final LengthCheck lengths;

    private final TableReader table;
    private final MakerPlan number;
    private final List<FieldPlan> by;
    private final Optional<MakerPlan> others;
    private final Optional<MakerPlan> merged;
    private final OptionalInt passedOver;
    private final OptionalInt unreadable;
    private final List<Integer> personUnlessBlank;
    private final List<FieldPlan> ofPeople;
    private final List<EventPlan> ofEvents;

    /** A person may stand in many rows; what they say together is one record. */
    private final Map<String, Person> people = new LinkedHashMap<>();

    private final Set<String> eventIds = new HashSet<>();
    /** Where what stands later is news: the last that was said of each record. */
    private final Map<String, EventRecord> news = new LinkedHashMap<>();

    private final boolean isOfNews;
    /** By the number of somebody who turned out to be another person: that person's. */
    private final Map<String, String> mergedInto = new HashMap<>();

    private int rows;

    private record Person(long line, Map<String, FieldValue> values) {}

    private record EventPlan(
            Intake.EventsOf about, List<FieldPlan> fields, List<MakerPlan> identity, List<Integer> unlessBlank) {}

    private RecordMaking(TableReader table, Intake intake, ZoneId zone, PeopleKnown known, MadeSink sink) {
        this.table = table;
        this.intake = intake;
        this.known = known;
        this.sink = sink;
        this.lengths = new LengthCheck(sink);
        Plans plans = new Plans(intake, table.columns(), zone);
        this.number = plans.of(intake.whose().number().orElse(Maker.ofConstant("")));
        this.by = plans.of(intake.whose().by(), Fields.PERSON);
        this.others = intake.whose().others().map(plans::of);
        this.merged = intake.whose().merged().map(plans::of);
        this.isOfNews = intake.table().format().isOfNews();
        this.passedOver = ownColumn(OwnColumn.PASSED_OVER);
        this.unreadable = ownColumn(OwnColumn.UNREADABLE);
        this.personUnlessBlank =
                places(intake.people().map(Intake.PeopleOf::unlessBlank).orElse(List.of()));
        this.ofPeople = intake.people()
                .map(made -> plans.of(made.fields(), Fields.PERSON))
                .orElse(List.of());
        this.ofEvents =
                intake.events().stream().map(about -> eventPlan(about, plans)).toList();
    }

    /** How many rows were read, and how many of them the intake left out. */
    public record Read(int rows, int leftOut) {}

    /**
     * Reads a file to its end; people are handed on last, since any row may say more of them.
     *
     * @throws dipstick.intake.rows.UnreadableRows where the file, or the rest of it, is none that the intake describes
     */
    public static Read read(Path file, Intake intake, ZoneId zone, PeopleKnown known, MadeSink sink)
            throws IOException {
        try (TableReader table = TableReader.open(file, intake)) {
            return new RecordMaking(table, intake, zone, known, sink).all();
        }
    }

    /** The custom fields of people that the intake makes. */
    public static List<Field> customOfPeople(Intake intake) {
        return intake.people().stream()
                .flatMap(made -> custom(made.fields().keySet(), Fields.PERSON))
                .toList();
    }

    public static List<Field> customOfEvents(Intake intake) {
        return intake.events().stream()
                .flatMap(made -> custom(made.fields().keySet(), Fields.EVENT))
                .distinct()
                .toList();
    }

    private static Stream<Field> custom(Set<String> names, Fields known) {
        return names.stream()
                .flatMap(name -> known.written(name).stream())
                .filter(field -> known.find(field.name()).isEmpty());
    }

    private Read all() throws IOException {
        for (Optional<Row> row = table.next(); row.isPresent(); row = table.next()) {
            rows++;
            sink.row();
            make(row.get());
        }
        people.forEach((id, person) -> {
            if (!mergedInto.containsKey(id) && lengths.fits(person.line(), person.values())) {
                sink.person(new PersonRecord(id, person.values()));
            }
        });
        news.values().forEach(event -> sink.event(ofWhoeverStays(event)));
        return new Read(rows, table.leftOut());
    }

    private void make(Row row) {
        if (!table.fits(row)) {
            sink.trouble(table.misfit(row));
            return;
        }
        if (isTold(row, unreadable, Reason.NO_ROW) || isTold(row, passedOver, Reason.PASSED_OVER)) {
            return;
        }
        Optional<String> person = personOf(row).filter(id -> lengths.isNumber(row, id));
        if (person.isPresent()) {
            numbers(row, others).forEach(number -> sink.alsoKnown(person.get(), number));
            numbers(row, merged).stream()
                    .filter(number -> !number.equals(person.get()))
                    .forEach(number -> {
                        mergedInto.remove(person.get());
                        mergedInto.put(number, person.get());
                        sink.merged(person.get(), number);
                    });
            if (intake.people().isPresent() && isSaid(row, personUnlessBlank)) {
                person(row, person.get());
            }
            ofEvents.forEach(plan -> events(row, person.get(), plan));
        }
    }

    /** Where a format of an open standard says something of a row as a whole. */
    private OptionalInt ownColumn(OwnColumn column) {
        return intake.table().format() == FileFormat.TABLE
                ? OptionalInt.empty()
                : table.columns().find(column.columnName());
    }

    private boolean isTold(Row row, OptionalInt column, Reason reason) {
        boolean isSaid = column.isPresent() && !row.at(column.getAsInt()).isBlank();
        if (isSaid) {
            trouble(row, "", reason, row.at(column.getAsInt()).text() + ".");
        }
        return isSaid;
    }

    private List<String> numbers(Row row, Optional<MakerPlan> plan) {
        return plan.map(made -> lengths.further(row, made.columnNames(), numbers(row, made)))
                .orElse(List.of());
    }

    private static List<String> numbers(Row row, MakerPlan plan) {
        return parts(plan.make(row, MakerPlan.One.NONE).cell(), NUMBERS_BETWEEN).stream()
                .map(Cell::text)
                .filter(number -> !number.isEmpty())
                .toList();
    }

    /** Nobody is merged in a ring: whoever was merged last stays. */
    private String whoeverStays(String id) {
        String stays = id;
        Set<String> seen = new HashSet<>();
        while (mergedInto.containsKey(stays) && seen.add(stays)) {
            stays = mergedInto.get(stays);
        }
        return stays;
    }

    private EventRecord ofWhoeverStays(EventRecord event) {
        String stays = whoeverStays(event.personId());
        if (stays.equals(event.personId())) {
            return event;
        }
        Map<String, FieldValue> values = new HashMap<>(event.values());
        values.put("person_id", new FieldValue.OfText(stays));
        return new EventRecord(values);
    }

    private Optional<String> personOf(Row row) {
        // Of what says neither, the number is blank.
        if (intake.whose().number().isPresent() || by.isEmpty()) {
            String id = number.make(row, MakerPlan.One.NONE).cell().text();
            if (id.isEmpty()) {
                trouble(row, number.columnNames(), Reason.NO_PERSON, "The row does not say whose it is.");
                return Optional.empty();
            }
            return Optional.of(whoeverStays(id));
        }
        Map<String, FieldValue> values = new HashMap<>();
        List<Trouble> troubles = new ArrayList<>();
        by.forEach(field -> field.make(new FieldPlan.Into(row, MakerPlan.One.NONE, values, troubles::add)));
        if (losesRow(troubles)) {
            return Optional.empty();
        }
        if (values.size() < by.size()) {
            trouble(row, "", Reason.NO_PERSON, "A field is blank by which it would be known whose the row is.");
            return Optional.empty();
        }
        List<String> found = known.find(values);
        if (found.size() > 1) {
            trouble(row, "", Reason.PERSON_FOUND_TWICE, "Several people on file fit: " + some(found) + ".");
            return Optional.empty();
        }
        if (found.isEmpty() && intake.people().isEmpty() && known.mustBeFound()) {
            trouble(row, "", Reason.PERSON_NOT_FOUND, "Nobody on file fits: " + madeOf(values) + ".");
            return Optional.empty();
        }
        return Optional.of(found.isEmpty() ? madeOf(values) : found.getFirst());
    }

    /** A few by name, where a row says so little that it may be anybody's. */
    private static String some(List<String> people) {
        int more = people.size() - MOST_NAMED;
        return more > 0
                ? String.join(", ", people.subList(0, MOST_NAMED)) + " and " + more + " more"
                : String.join(", ", people);
    }

    /** Tells what is wrong with a row, and whether it is left out for that. */
    private boolean losesRow(List<Trouble> troubles) {
        troubles.forEach(sink::trouble);
        return troubles.stream().anyMatch(one -> one.reason().losesRow());
    }

    /** A number made of the fields by which somebody is known, the same for the same fields. */
    private String madeOf(Map<String, FieldValue> values) {
        return by.stream()
                .map(field ->
                        NormalText.of(FieldCell.of(values.get(field.field().name()))))
                .collect(Collectors.joining(" "));
    }

    private void person(Row row, String id) {
        Map<String, FieldValue> values = new HashMap<>();
        List<Trouble> troubles = new ArrayList<>();
        ofPeople.forEach(field -> field.make(new FieldPlan.Into(row, MakerPlan.One.NONE, values, troubles::add)));
        values.put("id", new FieldValue.OfText(id));
        if (losesRow(troubles)) {
            return;
        }
        Person before = people.putIfAbsent(id, new Person(row.line(), values));
        if (before != null && isOfNews) {
            before.values().putAll(values);
        } else if (before != null) {
            values.forEach((field, value) -> {
                FieldValue said = before.values().putIfAbsent(field, value);
                if (said != null && !said.equals(value)) {
                    trouble(
                            row,
                            field,
                            Reason.PERSON_DIFFERS,
                            "The same person is said otherwise in line " + before.line() + ", which is kept.");
                }
            });
        }
    }

    private void events(Row row, String person, EventPlan plan) {
        if (!isSaid(row, plan.unlessBlank())) {
            return;
        }
        if (plan.about().each().isEmpty()) {
            event(row, person, plan, MakerPlan.One.NONE);
            return;
        }
        Intake.Each each = plan.about().each().get();
        for (String column : each.columns()) {
            int place = table.columns().find(column).orElse(-1);
            Cell cell = place < 0 ? Cell.blank() : row.at(place);
            for (Cell one : each.split().map(between -> parts(cell, between)).orElse(List.of(cell))) {
                if (!number.isEmpty(one)) {
                    event(row, person, plan, new MakerPlan.One(column, one));
                }
            }
        }
    }

    /** Whether one of these columns is not blank, or there are none. */
    private boolean isSaid(Row row, List<Integer> columns) {
        return columns.isEmpty() || columns.stream().anyMatch(column -> !number.isEmpty(row.at(column)));
    }

    private static List<Cell> parts(Cell cell, String between) {
        return Stream.of(cell.text().split(Pattern.quote(between), -1))
                .<Cell>map(Cell.Text::new)
                .toList();
    }

    private void event(Row row, String person, EventPlan plan, MakerPlan.One one) {
        Map<String, FieldValue> values = new HashMap<>();
        List<Trouble> troubles = new ArrayList<>();
        plan.fields().forEach(field -> field.make(new FieldPlan.Into(row, one, values, troubles::add)));
        values.put("person_id", new FieldValue.OfText(person));
        if (!intake.source().isEmpty()) {
            values.putIfAbsent("source", new FieldValue.OfText(intake.source()));
        }
        if (!plan.identity().isEmpty()) {
            identity(row, one, plan).ifPresent(id -> values.put("id", new FieldValue.OfText(id)));
        }
        if (troubles.isEmpty() && !values.containsKey("kind")) {
            trouble(row, "", Reason.NO_KIND, "The row does not say what kind of record it is.");
            return;
        }
        EventRecord event = new EventRecord(values);
        if (!losesRow(troubles) && lengths.isNumber(row, event.id()) && lengths.fits(row.line(), values)) {
            if (isOfNews) {
                news.put(event.id().isEmpty() ? "line " + row.line() : event.id(), event);
            } else if (event.id().isEmpty() || eventIds.add(event.id())) {
                sink.event(event);
            } else {
                trouble(row, "", Reason.ID_TWICE, "“" + event.id() + "” is the id of another row of the file.");
            }
        }
    }

    /** Nothing where all that it is made of is blank. */
    private Optional<String> identity(Row row, MakerPlan.One one, EventPlan plan) {
        List<String> parts = plan.identity().stream()
                .map(part -> part.make(row, one).cell().text())
                .filter(part -> !part.isEmpty())
                .toList();
        return parts.isEmpty()
                ? Optional.empty()
                : Optional.of(Stream.concat(Stream.of(intake.source()), parts.stream())
                        .filter(part -> !part.isEmpty())
                        .collect(Collectors.joining("/")));
    }

    private void trouble(Row row, String column, Reason reason, String said) {
        sink.trouble(new Trouble(row.line(), column, reason, "", said));
    }

    private EventPlan eventPlan(Intake.EventsOf about, Plans plans) {
        return new EventPlan(
                about,
                plans.of(about.fields(), Fields.EVENT),
                about.identity().stream().map(plans::of).toList(),
                places(about.unlessBlank()));
    }

    private List<Integer> places(List<String> columns) {
        return columns.stream()
                .flatMap(name -> table.columns().find(name).stream().boxed())
                .toList();
    }
}
