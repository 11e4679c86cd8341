package dipstick.server.rosters;

import dipstick.core.records.FieldType;
import dipstick.core.records.Fields;
import dipstick.intake.describe.Intake;
import dipstick.intake.describe.IntakeDocument;
import dipstick.intake.describe.Written;
import dipstick.intake.files.RowsFile;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import dipstick.intake.rows.UnreadableRows;
import dipstick.server.criteria.Evaluators;
import dipstick.server.files.SentFiles;
import dipstick.server.files.WrongRows;
import dipstick.server.practice.Today;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads files as rows of rosters; nothing of them is kept. */
@RestController
class RosterFileController {
    private final Rosters rosters;
    private final Evaluators evaluators;
    private final SentFiles files;
    private final Today today;

    RosterFileController(Rosters rosters, Evaluators evaluators, SentFiles files, Today today) {
        this.rosters = rosters;
        this.evaluators = evaluators;
        this.files = files;
        this.today = today;
    }

    /**
     * A file as rows of a roster, of which nothing is kept.
     *
     * @param format of the file, in words
     * @param readAs how its bytes were read as rows
     *
     * @param fields of a person that its columns hold
     * @param days columns of which nothing is made and in which days stand: one of them may say until when a row holds
     * @param until the column that says it; empty for none
     * @param openDates whether its dates could be read either way
     * @param leftOut how many rows are left out, since something in them cannot be read
     * @param troubles the first of what cannot be read, in sentences
     */
    record RosterRead(
            String format,
            Proposal.ReadAs readAs,
            List<String> fields,
            List<SharedRoster.Row> rows,
            List<String> days,
            String until,
            boolean openDates,
            int leftOut,
            List<String> troubles,
            JsonNode intake) {}

    /**
     * Reads a file as rows of a roster.
     *
     * @param roster the one that it is to replace, which says how it is read
     * @param until the column that says until when a row holds, empty for none; where it is absent, one that is called so
     * @param dates whether the day or the month comes first, where the file does not tell
     * @param encoding by its name; empty for what is found, as separator and sheet are
     */
    @PostMapping("/api/rosters/file")
    RosterRead read(
            @RequestParam String name,
            @RequestParam Optional<String> roster,
            @RequestParam Optional<String> until,
            @RequestParam Optional<Written.DateOrder> dates,
            @RequestParam(defaultValue = "") @Size(max = 60) String encoding,
            @RequestParam(defaultValue = "") @Size(max = 1) String separator,
            @RequestParam(defaultValue = "") @Size(max = 200) String sheet,
            HttpServletRequest request)
            throws IOException {
        Optional<Intake> known = roster.map(rosters::get)
                .map(SharedRoster::intake)
                .filter(intake -> !intake.isEmpty())
                .map(RosterChecks::intake)
                .map(intake ->
                        intake.with(RowsFile.Said.of(encoding, separator, sheet).in(intake.table())));
        RowsFile.Said said = known.map(intake -> RowsFile.Said.of(intake.table()))
                .orElseGet(() -> RowsFile.Said.of(encoding, separator, sheet));
        return files.read(name, request.getInputStream(), (fileName, file) -> {
            Proposal proposal = Proposing.of(
                    fileName, file, Proposing.Asked.in(today.day().getYear()).readAs(said));
            Fields people =
                    evaluators.asOf(Optional.empty()).population().fields().people();

            known.ifPresent(intake -> requireColumns(intake, proposal));
            Intake intake = known.orElseGet(() -> RosterFile.proposed(proposal, until, people));
            Intake dated = dates.map(order -> intake.with(intake.written().with(order)))
                    .orElse(intake);
            return view(RosterFile.read(file, dated, people, today.zone()), proposal, known.isEmpty());
        });
    }

    private static RosterRead view(RosterFile read, Proposal proposal, boolean isNew) {
        Intake intake = read.intake();
        WrongRows wrong = WrongRows.of(read.troubles());
        List<String> used = intake.columns().toList();
        List<String> days = proposal.choices().stream()
                .filter(choice -> isNew && choice.holds() == FieldType.DATE)
                .map(Proposal.Choice::column)
                .filter(column -> !used.contains(column))
                .toList();
        return new RosterRead(
                proposal.format(),
                proposal.readAs(),
                read.fields(),
                read.lines(),
                days,
                RosterFile.untilColumn(intake),
                wrong.openDates(),
                wrong.rows(),
                wrong.first(),
                JsonMapper.shared().readTree(IntakeDocument.written(intake)));
    }

    private static void requireColumns(Intake intake, Proposal proposal) {
        List<String> here = proposal.intake().table().columns();
        List<String> missing = intake.columns()
                .filter(column -> here.stream().noneMatch(column::equalsIgnoreCase))
                .map(column -> "“" + column + "”")
                .toList();
        if (!missing.isEmpty()) {
            throw new UnreadableRows(
                    1,
                    "it lacks what this roster is read from: " + String.join(", ", missing)
                            + ". Send the right file, or make a new roster of this one.");
        }
    }
}
