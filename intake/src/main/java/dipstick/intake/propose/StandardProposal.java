package dipstick.intake.propose;

import dipstick.core.records.FieldType;
import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Maker;
import dipstick.intake.describe.Meaning;
import dipstick.intake.describe.TableShape;
import dipstick.intake.describe.Written;
import dipstick.intake.files.RowsFile;
import dipstick.intake.propose.Proposal.Certainty;
import dipstick.intake.propose.Proposal.Choice;
import dipstick.intake.propose.Proposal.Question;
import dipstick.intake.propose.Proposal.What;
import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.Row;
import dipstick.intake.rows.Rows;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** What a file means whose format says it: nothing is asked, and everything may be mended. */
final class StandardProposal {
    private static final int MOST_EXAMPLES = 3;

    private static final List<OwnColumn> COLUMNS = List.of(OwnColumn.values());

    /** They say of what a row is. */
    private static final Set<OwnColumn> MARKS =
            EnumSet.of(OwnColumn.PERSON, OwnColumn.PASSED_OVER, OwnColumn.UNREADABLE);

    /** Nothing is made of a row where one of them says anything. */
    private static final Set<OwnColumn> NOBODYS = EnumSet.of(OwnColumn.PASSED_OVER, OwnColumn.UNREADABLE);

    private final RowsFile file;
    private final FileName name;
    private final Map<OwnColumn, Integer> values = new EnumMap<>(OwnColumn.class);
    private final Map<OwnColumn, List<String>> examples = new EnumMap<>(OwnColumn.class);
    private int rows;
    private int ofSomebody;

    private StandardProposal(RowsFile file, FileName name) {
        this.file = file;
        this.name = name;
    }

    /** Reads the whole file. */
    static Proposal of(RowsFile file, FileName name) throws IOException {
        StandardProposal proposal = new StandardProposal(file, name);
        try (Rows all = file.open()) {
            all.next();
            for (Optional<Row> row = all.next(); row.isPresent(); row = all.next()) {
                proposal.add(row.get());
            }
        }
        return proposal.propose();
    }

    private void add(Row row) {
        rows++;
        boolean ofNobody = false;
        for (int i = 0; i < COLUMNS.size(); i++) {
            OwnColumn column = COLUMNS.get(i);
            String text = row.at(i).text();
            ofNobody |= NOBODYS.contains(column) && !text.isEmpty();
            if (!text.isEmpty()) {
                values.merge(column, 1, Integer::sum);
                List<String> some = examples.computeIfAbsent(column, _ -> new ArrayList<>());
                if (some.size() < MOST_EXAMPLES && !some.contains(text)) {
                    some.add(text);
                }
            }
        }
        ofSomebody += ofNobody ? 0 : 1;
    }

    private Proposal propose() {
        Map<String, Maker> by = has(OwnColumn.NUMBER) ? Map.of() : by();
        List<Question> questions = new ArrayList<>();
        boolean nobody = !has(OwnColumn.NUMBER) && by.isEmpty();
        if (ofSomebody == 0) {
            questions.add(
                    new Question(What.NOTHING_MADE, "Nothing in the file is of a person, so nothing would come in."));
        } else if (nobody) {
            questions.add(new Question(What.WHOSE, "Nothing in the file says whose its records are."));
        } else if (!has(OwnColumn.NUMBER) || values.get(OwnColumn.NUMBER) < ofSomebody) {
            questions.add(new Question(
                    What.WHOSE,
                    "Not everything in the file has a person's number. Say by what people are to be known; what has none"
                            + " is told and left out."));
        }
        String encoding = file.how() instanceof RowsFile.How.Standard(var _, var charset) ? charset.name() : "";
        return new Proposal(
                intake(by),
                choices(),
                questions,
                file.format().holds(),
                0,
                rows,
                new Proposal.ReadAs(List.of(), "", encoding, ""));
    }

    private boolean has(OwnColumn column) {
        return values.getOrDefault(column, 0) > 0;
    }

    /** Without numbers people are known by name and birth date, or by their mail address. */
    private Map<String, Maker> by() {
        List<OwnColumn> columns = has(OwnColumn.FAMILY_NAME) && has(OwnColumn.BIRTH_DATE)
                ? List.of(OwnColumn.FAMILY_NAME, OwnColumn.GIVEN_NAME, OwnColumn.BIRTH_DATE)
                : has(OwnColumn.EMAIL) ? List.of(OwnColumn.EMAIL) : List.of();
        return fields(columns.stream().filter(this::has), OwnColumn::personField);
    }

    private Intake intake(Map<String, Maker> by) {
        boolean ofPeople = has(OwnColumn.PERSON) || file.format() != FileFormat.ICALENDAR;
        boolean ofEvents = file.format() != FileFormat.VCARD;
        return new Intake(
                Intake.FORMAT,
                name.slug(),
                name.plain(),
                name.plain(),
                Optional.empty(),
                TableShape.of(file.format()),
                Written.AS_ISO,
                new Intake.Whose(
                        by.isEmpty() ? Optional.of(maker(OwnColumn.NUMBER)) : Optional.empty(),
                        by,
                        by.isEmpty() ? Optional.of(maker(OwnColumn.OTHER_NUMBERS)) : Optional.empty(),
                        by.isEmpty() ? Optional.of(maker(OwnColumn.MERGED_NUMBERS)) : Optional.empty()),
                ofPeople
                        ? Optional.of(new Intake.PeopleOf(
                                fields(COLUMNS.stream(), OwnColumn::personField),
                                Meaning.ADDS_AND_CHANGES,
                                false,
                                List.of(OwnColumn.PERSON.columnName())))
                        : Optional.empty(),
                ofEvents
                        ? List.of(new Intake.EventsOf(
                                fields(COLUMNS.stream(), OwnColumn::eventField),
                                List.of(maker(OwnColumn.RECORD_ID)),
                                List.of(OwnColumn.KIND.columnName()),
                                Optional.empty(),
                                false,
                                false))
                        : List.of());
    }

    private static Map<String, Maker> fields(Stream<OwnColumn> columns, Function<OwnColumn, Optional<String>> fieldOf) {
        Map<String, Maker> fields = new LinkedHashMap<>();
        columns.forEach(column -> fieldOf.apply(column).ifPresent(field -> fields.put(field, maker(column))));
        return fields;
    }

    private static Maker maker(OwnColumn column) {
        return Maker.ofColumn(column.columnName());
    }

    /** Columns in which nothing stands are not shown; there are many, and a later file may fill them. */
    private List<Choice> choices() {
        return COLUMNS.stream()
                .filter(column -> has(column) && !MARKS.contains(column))
                .map(column -> {
                    List<String> becomes = becomes(column);
                    return new Choice(
                            column.columnName(),
                            becomes,
                            becomes.isEmpty() ? Certainty.LEFT_OUT : Certainty.CERTAIN,
                            FieldType.TEXT,
                            values.get(column),
                            rows - values.get(column),
                            examples.getOrDefault(column, List.of()));
                })
                .toList();
    }

    private static List<String> becomes(OwnColumn column) {
        return switch (column) {
            case NUMBER -> List.of("person number");
            case OTHER_NUMBERS, MERGED_NUMBERS -> List.of("further person numbers");
            case RECORD_ID -> List.of("record: id");
            default ->
                Stream.concat(
                                column.personField().stream(),
                                column.eventField().stream().map(field -> "record: " + field))
                        .map(field -> field.replace('_', ' '))
                        .toList();
        };
    }
}
