package dipstick.intake.propose;

import dipstick.core.export.FieldCell;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.records.RecordFields;
import dipstick.core.text.NormalText;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Lengths;
import dipstick.intake.describe.Maker;
import dipstick.intake.describe.Meaning;
import dipstick.intake.describe.TableShape;
import dipstick.intake.describe.Written;
import dipstick.intake.rows.UnreadableRows;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Files in our own columns (criteria.md, section 1). Their intakes are always there: each column becomes the field that it
 * names, and one that names none becomes a custom field.
 */
public enum PlainFile {
    PEOPLE("plain-people", "Plain file of people"),
    RECORDS("plain-records", "Plain file of records");

    private static final String PERSON_NUMBER = "person_id";

    private static final String NUMBER = "id";

    private final String id;
    private final String title;

    PlainFile(String id, String title) {
        this.id = id;
        this.title = title;
    }

    public String intakeId() {
        return id;
    }

    /** The one whose intake has this id, if one has. */
    public static Optional<PlainFile> ofIntake(String id) {
        return Arrays.stream(values()).filter(file -> file.id.equals(id)).findFirst();
    }

    /**
     * What a file with these columns is: at least half of them have names of ours, none is one of the trade's for a field
     * of ours, and none stands twice.
     */
    static Optional<PlainFile> of(List<String> columns) {
        List<String> named =
                columns.stream().filter(column -> !column.isBlank()).toList();
        boolean ofRecords = has(named, PERSON_NUMBER) && has(named, "kind");
        Optional<PlainFile> file =
                ofRecords ? Optional.of(RECORDS) : has(named, NUMBER) ? Optional.of(PEOPLE) : Optional.empty();
        return file.filter(plain -> plain.isOf(named));
    }

    private static boolean has(List<String> columns, String name) {
        return columns.stream().anyMatch(column -> NormalText.of(column).equals(name));
    }

    private boolean isOf(List<String> columns) {
        long ours = columns.stream().filter(column -> isKnown(column)).count();
        return ours * 2 >= columns.size()
                && columns.stream().allMatch(column -> isKnown(column) || isCustom(column))
                && columns.stream().noneMatch(column -> isSecond(column, columns));
    }

    private boolean isKnown(String column) {
        return known().find(NormalText.of(column)).isPresent();
    }

    private boolean isCustom(String column) {
        return known().written(column).isPresent()
                && FieldNames.ofTheTrade().of(column).isEmpty();
    }

    /** A name that stands twice is told apart by its place: {@link dipstick.intake.make.Columns}. */
    private static boolean isSecond(String column, List<String> columns) {
        String first = column.replaceFirst(" \\(\\d+\\)$", "");
        return !first.equals(column) && columns.contains(first);
    }

    private Fields known() {
        return switch (this) {
            case PEOPLE -> Fields.PERSON;
            case RECORDS -> Fields.EVENT;
        };
    }

    /** The intake of files that have no more than the columns that they must have. */
    public Intake intake() {
        List<String> columns = switch (this) {
            case PEOPLE -> List.of(NUMBER);
            case RECORDS -> List.of(PERSON_NUMBER, "kind");
        };
        return intake(TableShape.of(columns), RecordFields.KNOWN);
    }

    /**
     * The intake of a file with the columns of this table.
     *
     * @param practice the fields that the practice has already; a column of such a name is of its type
     * @throws UnreadableRows where a column says another type than the practice's field has
     */
    public Intake intake(TableShape table, RecordFields practice) {
        return switch (this) {
            case PEOPLE ->
                intake(
                        table,
                        column(table, NUMBER),
                        Optional.of(new Intake.PeopleOf(
                                fields(table, practice.people()), Meaning.ADDS_AND_CHANGES, true, List.of())),
                        List.of());
            case RECORDS ->
                intake(
                        table,
                        column(table, PERSON_NUMBER),
                        Optional.empty(),
                        List.of(new Intake.EventsOf(
                                fields(table, practice.events()),
                                column(table, NUMBER).stream().toList(),
                                List.of(),
                                Optional.empty(),
                                true,
                                false)));
        };
    }

    private Intake intake(
            TableShape table, Optional<Maker> number, Optional<Intake.PeopleOf> people, List<Intake.EventsOf> records) {
        Intake.Whose whose = new Intake.Whose(number, Map.of(), Optional.empty(), Optional.empty());
        return new Intake(
                Intake.FORMAT, id, title, "", Optional.empty(), table, Written.AS_ISO, whose, people, records);
    }

    private static Optional<Maker> column(TableShape table, String name) {
        return table.columns().stream()
                .filter(column -> NormalText.of(column).equals(name))
                .findFirst()
                .map(Maker::ofColumn);
    }

    private Map<String, Maker> fields(TableShape table, Fields practice) {
        return table.columns().stream()
                .filter(column -> known().written(column)
                        .filter(field ->
                                !field.name().equals(NUMBER) && !field.name().equals(PERSON_NUMBER))
                        .filter(field -> field.name().length() <= Lengths.FIELD_NAME)
                        .isPresent())
                .collect(Collectors.toMap(
                        column -> asThePracticeHasIt(known().written(column).orElseThrow(), practice),
                        Maker::ofColumn,
                        (first, _) -> first,
                        LinkedHashMap::new));
    }

    private String asThePracticeHasIt(Field field, Fields practice) {
        return practice.asHere(field)
                .map(here -> FieldCell.header(here, known()))
                .orElseThrow(() -> new UnreadableRows(
                        1,
                        "The header gives the field “" + field.name() + "” another type than it has here, which is "
                                + practice.find(field.name())
                                        .orElseThrow()
                                        .type()
                                        .word() + "."));
    }
}
