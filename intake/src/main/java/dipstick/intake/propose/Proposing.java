package dipstick.intake.propose;

import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.Fields;
import dipstick.core.records.RecordFields;
import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.Maker;
import dipstick.intake.describe.Maker.OfEach;
import dipstick.intake.describe.Maker.Others;
import dipstick.intake.describe.Meaning;
import dipstick.intake.describe.Written;
import dipstick.intake.files.RowsFile;
import dipstick.intake.make.TableReader;
import dipstick.intake.propose.FieldNames.Meant;
import dipstick.intake.propose.FieldNames.Of;
import dipstick.intake.propose.Proposal.Certainty;
import dipstick.intake.propose.Proposal.Choice;
import dipstick.intake.propose.Proposal.Question;
import dipstick.intake.propose.Proposal.What;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Finds out what a table may mean: by the names of its columns, and by what stands in them. */
public final class Proposing {
    private static final FieldNames NAMES = FieldNames.ofTheTrade();
    private static final String FULL_NAME = "full_name";

    /** Fewer columns of numbers than these are no table with a column for each test. */
    private static final int LEAST_WIDE = 2;

    private final FileName fileName;
    private final FileRead read;
    private final TableProfile profile;
    private final Asked asked;

    private final Map<String, Maker> person = new LinkedHashMap<>();
    private final Map<String, Maker> event = new LinkedHashMap<>();
    private final Map<String, List<String>> becomes = new HashMap<>();
    private final Map<String, Certainty> certainty = new HashMap<>();
    private final List<Question> questions = new ArrayList<>();
    private Optional<Maker> number = Optional.empty();
    private List<String> wide = List.of();

    private Proposing(FileName fileName, FileRead read, Asked asked) {
        this.fileName = fileName;
        this.read = read;
        this.profile = read.profile();
        this.asked = asked;
    }

    /**
     * What is asked of a file.
     *
     * @param said of how it is read as rows
     * @param practice the fields that the practice has, where a {@link PlainFile} is read as such
     */
    public record Asked(int thisYear, RowsFile.Said said, Optional<RecordFields> practice) {
        /** What columns mean, whatever the file is for. */
        public static Asked in(int thisYear) {
            return new Asked(thisYear, RowsFile.Said.NOTHING, Optional.empty());
        }

        /** How it becomes people and records. */
        public static Asked forRecords(int thisYear, RecordFields practice) {
            return new Asked(thisYear, RowsFile.Said.NOTHING, Optional.of(practice));
        }

        public Asked readAs(RowsFile.Said how) {
            return new Asked(thisYear, how, practice);
        }
    }

    /**
     * Reads the whole file.
     *
     * @throws dipstick.intake.rows.UnreadableRows where it is no table
     */
    public static Proposal of(String fileName, Path file, Asked asked) throws IOException {
        RowsFile.Said said = asked.said();
        RowsFile table = RowsFile.of(file, said);
        FileName name = new FileName(fileName);
        if (table.format() != FileFormat.TABLE) {
            return StandardProposal.of(table, name);
        }
        List<String> sheets = table.sheets();
        if (sheets.size() > 1 && said.sheet().isEmpty()) {
            table = firstWithRows(file, said, sheets);
        }
        return new Proposing(name, new FileRead(table, sheets, said, TableProfile.of(table)), asked).propose();
    }

    /** A workbook may begin with a sheet on which nothing stands; the first where none has any. */
    private static RowsFile firstWithRows(Path file, RowsFile.Said said, List<String> sheets) throws IOException {
        for (String sheet : sheets) {
            RowsFile table =
                    RowsFile.of(file, new RowsFile.Said(said.encoding(), said.separator(), Optional.of(sheet)));
            if (TableReader.first(table, 2).size() > 1) {
                return table;
            }
        }
        return RowsFile.of(file, said);
    }

    private Proposal propose() {
        Optional<PlainFile> plain =
                asked.practice().flatMap(_ -> PlainFile.of(profile.columns().names()));
        return plain.isPresent() ? plain(plain.get(), asked.practice().orElseThrow()) : foreign();
    }

    /** Its columns say what they are; dates and numbers may be written otherwise all the same. */
    private Proposal plain(PlainFile file, RecordFields practice) {
        Intake intake = file.intake(read.shape(), practice);
        intake.people().ifPresent(people -> person.putAll(people.fields()));
        intake.events().forEach(records -> event.putAll(records.fields()));
        Predicate<Field> isText = field -> field.type().isText();
        // How dates are written is asked for dates alone: they may stand in texts in any way.
        take(isText.negate());
        Written written = written();
        take(isText);
        intake.whose().number().ifPresent(maker -> take(maker, "person number"));
        intake.events().forEach(records -> records.identity().forEach(maker -> take(maker, "record: id")));
        // A word that says nothing elsewhere is a word here.
        return proposal(intake.with(new Written(written.dates(), 0, written.decimal(), List.of())));
    }

    private void take(Predicate<Field> which) {
        person.forEach((written, maker) -> Fields.PERSON
                .written(written)
                .filter(which)
                .ifPresent(field -> take(maker, field.name().replace('_', ' '))));
        event.forEach((written, maker) -> Fields.EVENT
                .written(written)
                .filter(which)
                .ifPresent(field -> take(maker, "record: " + field.name().replace('_', ' '))));
    }

    private void take(Maker maker, String field) {
        maker.allColumns().forEach(column -> becomes(column, field, Certainty.CERTAIN));
    }

    private Proposal foreign() {
        boolean eventful = isOfEvents();
        profile.profiles().forEach(column -> byName(column, eventful));
        profile.profiles().forEach(this::byContent);
        if (eventful) {
            wideColumns();
        }
        return proposal(intake(eventful));
    }

    private Proposal proposal(Intake intake) {
        List<Choice> choices = profile.profiles().stream()
                .filter(column -> !column.name().isEmpty())
                .map(this::choice)
                .toList();
        return new Proposal(
                intake, choices, questions, read.format(), profile.headerLine(), profile.rows(), read.readAs());
    }

    /** Whether there is a column that no table of people has. */
    private boolean isOfEvents() {
        Set<String> ofEvents = profile.profiles().stream()
                .flatMap(column -> NAMES.of(column.name()).stream())
                .filter(meant -> meant.of() == Of.EVENT && !meant.field().equals("id"))
                .map(Meant::field)
                .collect(Collectors.toSet());
        boolean anotherDate = profile.profiles().stream()
                .anyMatch(column -> column.isDates()
                        && !column.looksLikeBirths(asked.thisYear())
                        && NAMES.of(column.name())
                                .map(meant -> meant.of() == Of.EVENT)
                                .orElse(true));
        return ofEvents.contains("on") || ofEvents.size() >= 2 || (!ofEvents.isEmpty() && anotherDate);
    }

    private void byName(ColumnProfile column, boolean eventful) {
        NAMES.of(column.name()).ifPresent(meant -> {
            switch (meant.of()) {
                case NUMBER -> number(column, Certainty.CERTAIN);
                case PERSON -> ofPerson(column, meant.field());
                case BOTH -> put(eventful ? event : person, column, meant.field(), Certainty.CERTAIN, eventful);
                case EVENT -> {
                    if (eventful) {
                        ofEvent(column, meant.field());
                    } else if (meant.field().equals("id")) {
                        number(column, Certainty.CERTAIN);
                    }
                }
            }
        });
    }

    private void number(ColumnProfile column, Certainty sure) {
        if (number.isEmpty()) {
            number = Optional.of(Maker.ofColumn(column.name()));
            take(column, "person number", sure);
        }
    }

    private void ofPerson(ColumnProfile column, String field) {
        if (field.equals(FULL_NAME)) {
            if (!person.containsKey("family_name") && column.isNamesInParts()) {
                person.put("family_name", Maker.ofColumn(column.name()).part(",", 1));
                person.put("given_name", Maker.ofColumn(column.name()).part(",", 2));
                take(column, "family name, given name", Certainty.CERTAIN);
            } else if (!person.containsKey("family_name")) {
                put(person, column, "family_name", Certainty.LIKELY, false);
            }
            return;
        }
        boolean isDate = field.equals("birth_date") || field.equals("deceased_on");
        put(person, column, field, !isDate || column.isDates() ? Certainty.CERTAIN : Certainty.LIKELY, false);
    }

    private void ofEvent(ColumnProfile column, String field) {
        boolean fits = switch (field) {
            case "on", "until", "recorded_on" -> column.isDates();
            case "value" -> column.isNumbers();
            default -> true;
        };
        put(event, column, field, fits ? Certainty.CERTAIN : Certainty.LIKELY, true);
    }

    private void put(Map<String, Maker> fields, ColumnProfile column, String field, Certainty sure, boolean ofEvent) {
        if (fields.containsKey(field)) {
            return;
        }
        Maker maker = Maker.ofColumn(column.name());
        Map<String, String> words = NAMES.translations(field, new HashSet<>(column.words()));
        fields.put(field, words.isEmpty() ? maker : maker.translated(words, Others.KEEP));
        take(column, (ofEvent ? "record: " : "") + field.replace('_', ' '), sure);
    }

    private void take(ColumnProfile column, String field, Certainty sure) {
        becomes(column.name(), field, sure);
    }

    private void becomes(String column, String field, Certainty sure) {
        becomes.computeIfAbsent(column, _ -> new ArrayList<>()).add(field);
        certainty.merge(column, sure, (one, other) -> one == Certainty.LIKELY ? one : other);
    }

    /** What no name told may be told by what stands there. */
    private void byContent(ColumnProfile column) {
        if (becomes.containsKey(column.name()) || column.name().isEmpty()) {
            return;
        }
        if (column.isEmails()) {
            put(person, column, "email", Certainty.LIKELY, false);
        } else if (column.isSexes()) {
            put(person, column, "sex", Certainty.LIKELY, false);
        } else if (column.looksLikeBirths(asked.thisYear())) {
            put(person, column, "birth_date", Certainty.LIKELY, false);
        } else if (column.isPhones()) {
            put(person, column, person.containsKey("phone") ? "mobile" : "phone", Certainty.LIKELY, false);
        } else if (column.isPostcodes() && person.containsKey("address")) {
            put(person, column, "postcode", Certainty.LIKELY, false);
        }
    }

    /** Several columns of numbers that mean nothing else, and no column of values: one for each test. */
    private void wideColumns() {
        if (event.containsKey("value")) {
            return;
        }
        List<ColumnProfile> numbers = profile.profiles().stream()
                .filter(column -> !becomes.containsKey(column.name()) && column.isNumbers())
                .toList();
        if (numbers.size() >= LEAST_WIDE) {
            wide = numbers.stream().map(ColumnProfile::name).toList();
            numbers.forEach(column -> take(column, "a record of its own: its value", Certainty.LIKELY));
        }
    }

    private Intake intake(boolean eventful) {
        Written written = written();
        Map<String, Maker> by = number.isPresent() ? Map.of() : by();
        if (number.isEmpty() && by.isEmpty()) {
            questions.add(
                    new Question(
                            What.WHOSE,
                            "No column seems to say whose a row is. Choose the person's number, or fields that tell people apart."));
        }
        if (eventful && !event.containsKey("kind")) {
            kind();
        }
        if (eventful && !wide.isEmpty()) {
            event.put("text", Maker.ofEach(OfEach.NAME));
            event.put("value", Maker.ofEach(OfEach.CELL));
        }
        Optional<Intake.PeopleOf> people = person.isEmpty() && (eventful || number.isEmpty())
                ? Optional.empty()
                : Optional.of(new Intake.PeopleOf(person, Meaning.ADDS_AND_CHANGES, false, List.of()));
        List<Intake.EventsOf> events = eventful
                ? List.of(new Intake.EventsOf(
                        event,
                        List.of(),
                        event.containsKey("on") ? event.get("on").allColumns().toList() : List.of(),
                        wide.isEmpty() ? Optional.empty() : Optional.of(new Intake.Each(wide, Optional.empty())),
                        false,
                        false))
                : List.of();
        if (people.isEmpty() && events.isEmpty()) {
            questions.add(new Question(What.NOTHING_MADE, "Nothing in the file looks like people or records."));
        }
        return new Intake(
                Intake.FORMAT,
                fileName.slug(),
                fileName.plain(),
                fileName.plain(),
                Optional.empty(),
                read.shape(),
                written,
                new Intake.Whose(number, by, Optional.empty(), Optional.empty()),
                people,
                events);
    }

    /** Who has the same name and birth date, and the same postcode where there is one. */
    private Map<String, Maker> by() {
        Map<String, Maker> by = new LinkedHashMap<>();
        for (String field : List.of("family_name", "given_name", "birth_date", "postcode")) {
            Maker maker = person.get(field);
            if (maker != null) {
                by.put(field, maker);
            }
        }
        return by.containsKey("family_name") && by.containsKey("birth_date") ? by : Map.of();
    }

    private void kind() {
        List<String> kinds = new ArrayList<>(NAMES.kindsIn(fileName.withoutEnding()));
        if (kinds.size() != 1) {
            kinds = profile.profiles().stream()
                    .flatMap(column -> NAMES.kindsIn(column.name()).stream())
                    .distinct()
                    .collect(Collectors.toCollection(ArrayList::new));
        }
        if (kinds.size() != 1 && (event.containsKey("value") || !wide.isEmpty())) {
            kinds = List.of("result");
        }
        String kind = kinds.size() == 1 ? kinds.getFirst() : "visit";
        event.put("kind", Maker.ofConstant(kind));
        if (kinds.size() != 1) {
            questions.add(new Question(What.KIND, "What kind of record is a row? Nothing in the file says it."));
        }
    }

    private Written written() {
        return new HowWritten(
                        profile.profiles(),
                        becomes::containsKey,
                        column -> event.containsKey("value")
                                && event.get("value").allColumns().anyMatch(column::equals),
                        questions::add)
                .written();
    }

    private Choice choice(ColumnProfile column) {
        List<String> fields = becomes.getOrDefault(column.name(), List.of());
        return new Choice(
                column.name(),
                fields,
                fields.isEmpty() ? Certainty.LEFT_OUT : certainty.get(column.name()),
                column.isDates() ? FieldType.DATE : column.isNumbers() ? FieldType.NUMBER : FieldType.TEXT,
                column.values(),
                column.blanks(),
                column.examples());
    }
}
