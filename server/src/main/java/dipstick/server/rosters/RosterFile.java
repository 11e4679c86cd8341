package dipstick.server.rosters;

import dipstick.core.export.FieldCell;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.records.Fields;
import dipstick.core.text.NormalText;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Maker;
import dipstick.intake.describe.Meaning;
import dipstick.intake.make.FieldRows;
import dipstick.intake.make.Trouble;
import dipstick.intake.propose.Proposal;
import dipstick.intake.rows.UnreadableRows;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A file as rows of a roster.
 *
 * @param fields of a person that its columns hold
 * @param lines a cell for each field, and until when it holds; cells that are blank are empty
 * @param troubles cells and rows that cannot be read, with their lines
 * @param intake how it was read, for the next file of this kind
 */
record RosterFile(List<String> fields, List<SharedRoster.Row> lines, List<Trouble> troubles, Intake intake) {
    /** The custom field of a person under which an intake says until when a row holds. */
    private static final String UNTIL = "until:date";

    private static final Field UNTIL_FIELD = new Field("until", FieldType.DATE);

    private static final Set<String> CALLED_UNTIL =
            Set.of("until", "through", "ends", "end", "expires", "expiry", "bis", "jusqu", "hasta", "fino");

    private static final String TOO_LONG =
            "A cell of a roster has at most " + SharedRoster.Row.LONGEST_CELL + " characters.";

    /** More rows make documents that are too large to be changed. */
    static final int MOST_ROWS = 20_000;

    /**
     * How a file that nobody knows is read.
     *
     * @param until the column that says until when a row holds, empty for none; where it is absent, one that is called so
     * @param custom the fields of people that are this practice's own, by whose names columns are known
     */
    static Intake proposed(Proposal proposal, Optional<String> until, Fields custom) {
        Intake found = proposal.intake();
        Map<String, Maker> fields = new LinkedHashMap<>();
        found.whose().number().ifPresent(maker -> fields.put("id", maker));
        found.people().ifPresent(people -> fields.putAll(people.fields()));
        for (Proposal.Choice choice : proposal.choices()) {
            if (choice.becomes().isEmpty()) {
                custom.names().stream()
                        .filter(name -> NormalText.of(name).equals(NormalText.of(choice.column())))
                        .forEach(name -> fields.put(name, Maker.ofColumn(choice.column())));
            }
        }
        until.or(() -> lastDays(proposal))
                .filter(column -> !column.isEmpty())
                .ifPresent(column -> fields.put(UNTIL, Maker.ofColumn(column)));
        return intake(found, found.whose().number(), fields);
    }

    private static Optional<String> lastDays(Proposal proposal) {
        return proposal.choices().stream()
                .filter(choice -> choice.holds() == FieldType.DATE)
                .map(Proposal.Choice::column)
                .filter(column ->
                        Stream.of(NormalText.of(column).split("[^\\p{L}]+")).anyMatch(CALLED_UNTIL::contains))
                .findFirst();
    }

    /** The column that says until when a row holds; empty where there is none. */
    static String untilColumn(Intake intake) {
        return Optional.ofNullable(intake.people().orElseThrow().fields().get(UNTIL))
                .flatMap(Maker::column)
                .orElse("");
    }

    private static Intake intake(Intake like, Optional<Maker> number, Map<String, Maker> fields) {
        Map<String, Maker> by = new LinkedHashMap<>(number.isPresent() ? Map.of() : fields);
        by.remove(UNTIL);
        return new Intake(
                Intake.FORMAT,
                like.id(),
                like.name(),
                like.source(),
                like.rank(),
                like.table(),
                like.written(),
                new Intake.Whose(number, by, Optional.empty(), Optional.empty()),
                Optional.of(new Intake.PeopleOf(fields, Meaning.ONLY_ADDS, false, List.of())),
                List.of());
    }

    /** The same intake, with no more than the fields of a key. */
    static Intake onlyOf(Intake intake, List<String> key) {
        Map<String, Maker> fields =
                new LinkedHashMap<>(intake.people().orElseThrow().fields());
        fields.keySet().removeIf(field -> !field.equals(UNTIL) && !key.contains(field));
        return intake(intake, intake.whose().number().filter(_ -> key.contains("id")), fields);
    }

    /**
     * Reads a file to its end.
     *
     * @param known the fields of people
     */
    static RosterFile read(Path file, Intake intake, Fields known, ZoneId zone) throws IOException {
        List<FieldRows.Made> made = new ArrayList<>();
        intake.people().orElseThrow().fields().forEach((name, maker) -> {
            if (!name.equals(UNTIL)) {
                known.find(name).ifPresent(field -> made.add(new FieldRows.Made(field, maker)));
            }
        });
        List<String> fields = made.stream().map(one -> one.field().name()).toList();
        Optional.ofNullable(intake.people().orElseThrow().fields().get(UNTIL))
                .ifPresent(maker -> made.add(new FieldRows.Made(UNTIL_FIELD, maker)));
        if (fields.isEmpty()) {
            throw new UnreadableRows(1, "No column says who is meant: a number, or a name with a birth date.");
        }
        List<SharedRoster.Row> lines = new ArrayList<>();
        List<Trouble> troubles = new ArrayList<>();
        FieldRows.read(file, intake, made, zone, (line, values, wrong) -> {
            troubles.addAll(wrong);
            if (lines.size() == MOST_ROWS) {
                throw new UnreadableRows(
                        line, "A roster has up to " + MOST_ROWS + " rows; a criterion on a field says who many are.");
            }
            if (!values.isEmpty() && wrong.isEmpty()) {
                List<String> cells =
                        fields.stream().map(field -> written(values, field)).toList();
                if (cells.stream().anyMatch(cell -> cell.length() > SharedRoster.Row.LONGEST_CELL)) {
                    troubles.add(new Trouble(line, "", Trouble.Reason.TOO_LONG, "", TOO_LONG));
                } else {
                    lines.add(new SharedRoster.Row(cells, lastDay(values)));
                }
            }
        });
        return new RosterFile(fields, List.copyOf(lines), List.copyOf(troubles), intake);
    }

    private static String written(Map<String, FieldValue> values, String field) {
        return Optional.ofNullable(values.get(field)).map(FieldCell::of).orElse("");
    }

    private static String lastDay(Map<String, FieldValue> values) {
        return values.get(UNTIL_FIELD.name()) instanceof FieldValue.OfDate(var days)
                ? LocalDate.ofEpochDay(days.last()).toString()
                : "";
    }
}
