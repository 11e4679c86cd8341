package dipstick.server.exchange;

import dipstick.core.export.ShownColumn;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.exchange.Letters.LeftOut;
import dipstick.server.exchange.WrittenTo.What;
import dipstick.server.outreach.Listed;
import dipstick.server.outreach.desk.Desk;
import dipstick.server.paper.Paper;
import dipstick.server.practice.Today;
import dipstick.server.readings.DialSetting;
import dipstick.server.readings.ListCriteria;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import dipstick.server.web.TableMetadata;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Takes people of a list out: as a table, a call sheet, letters or labels. */
@RestController
@RequestMapping("/api/lists/{set}/out")
class ExportController {
    private final Desk desk;
    private final Letters letters;
    private final Letterheads letterheads;
    private final WrittenTo writtenTo;
    private final CriteriaSets sets;
    private final ListCriteria criteria;
    private final Views views;
    private final Sharing sharing;
    private final ExportFooter footer;
    private final Accounts accounts;
    private final Paper paper;
    private final Today today;
    private final AuditLog audit;

    ExportController(
            Desk desk,
            Letters letters,
            Letterheads letterheads,
            WrittenTo writtenTo,
            CriteriaSets sets,
            ListCriteria criteria,
            Views views,
            Sharing sharing,
            ExportFooter footer,
            Accounts accounts,
            Paper paper,
            Today today,
            AuditLog audit) {
        this.desk = desk;
        this.letters = letters;
        this.letterheads = letterheads;
        this.writtenTo = writtenTo;
        this.sets = sets;
        this.criteria = criteria;
        this.views = views;
        this.sharing = sharing;
        this.footer = footer;
        this.accounts = accounts;
        this.paper = paper;
        this.today = today;
        this.audit = audit;
    }

    /** What comes out. */
    enum Format {
        CSV("list", "csv", "text/csv;charset=UTF-8"),
        XLSX("list", "xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
        CALL_SHEET("call-sheet", "pdf", "application/pdf"),
        LETTERS("letters", "pdf", "application/pdf"),
        LABELS("labels", "pdf", "application/pdf"),
        /** Sent rather than taken out; only checked here. */
        MAIL("mail", "eml", "message/rfc822");

        private final String named;

        private final String ending;
        private final String type;

        Format(String named, String ending, String type) {
            this.named = named;
            this.ending = ending;
            this.type = type;
        }

        /** Whether it says how to reach people whatever its columns are. */
        boolean isContact() {
            return this != CSV && this != XLSX;
        }
    }

    /**
     * @param people in the order in which they are to come
     * @param columns of a table, and {@code fields} the names of further columns that it has: fields of people, and
     *     what criteria find
     * @param template of letters
     * @param reason why contact details are taken out; may be empty where there are none
     * @param again whether it goes also to those to whom the same went within the contact plan's step
     * @param toCheck whether those are among them who are to check and not on the list: only for who may change the list
     */
    record Wanted(
            @NotNull Format format,
            @NotEmpty @Size(max = 20_000) List<String> people,
            @NotNull @Size(max = 40) List<Column> columns,
            Optional<@Size(max = 40) List<@Size(max = 200) String>> fields,
            @NotNull @Size(max = 100) String template,
            @NotNull @Size(max = 400) String reason,
            Optional<Boolean> again,
            Optional<Boolean> toCheck) {
        List<String> furtherFields() {
            return fields.orElse(List.of());
        }

        /** Whether it says how to reach people. */
        boolean isContact() {
            return format.isContact()
                    || columns.stream().anyMatch(Column::isContact)
                    || furtherFields().stream().anyMatch(Column::isContactField);
        }
    }

    /**
     * @param people to how many it would go
     * @param byLanguage how many letters there are in each language
     * @param again to whom the same went just now, of those who are left out for it
     */
    record PaperCheck(int people, Map<String, Long> byLanguage, List<LeftOut> leftOut, int again) {}

    /** Who would be written to or printed, and who would be left out and why, before anything is. */
    @PostMapping("/check")
    PaperCheck check(@PathVariable String set, @Valid @RequestBody Wanted wanted) {
        sharing.require(set, Right.WORK);
        requireForToCheck(set, wanted);
        Outgoing out = outgoing(set, wanted);
        Letters.Run run = run(set, wanted, out);
        int withoutAgain =
                letters.write(order(set, wanted, out, true)).leftOut().size();
        return new PaperCheck(
                run.written().size(),
                run.written().stream()
                        .filter(one -> !one.language().isEmpty())
                        .collect(Collectors.groupingBy(Letters.Written::language, TreeMap::new, Collectors.counting())),
                run.leftOut(),
                run.leftOut().size() - withoutAgain);
    }

    @PostMapping
    ResponseEntity<byte[]> takeOut(@PathVariable String set, @Valid @RequestBody Wanted wanted) throws IOException {
        requireMay(set, wanted);
        Outgoing out = outgoing(set, wanted);
        byte[] bytes = switch (wanted.format()) {
            case CSV -> Spreadsheets.csv(out);
            case XLSX -> Spreadsheets.xlsx(out);
            case CALL_SHEET -> callSheet(out, run(set, wanted, out));
            case LETTERS -> gone(set, wanted, out, run -> letters(run, out));
            case LABELS -> gone(set, wanted, out, run -> labels(run, out));
            case MAIL ->
                throw Problems.refused(
                        HttpStatus.BAD_REQUEST, "is-sent", "E-mail is sent and not taken out as a file.");
        };
        audit.record(
                Act.LIST_EXPORTED,
                set + " as " + wanted.format() + ", " + out.people().size() + " people: "
                        + out.columns().stream().map(TableColumn::name).collect(Collectors.joining(" "))
                        + (wanted.reason().isBlank()
                                ? ""
                                : "; " + wanted.reason().strip())
                        + "; of " + ids(out.people()));
        return Download.of(wanted.format().type, fileName(set, wanted), bytes);
    }

    /** What the table is, who takes it out, when and why: the file to be kept beside a CSV, which holds its rows alone. */
    @PostMapping("/about")
    ResponseEntity<byte[]> about(@PathVariable String set, @Valid @RequestBody Wanted wanted) {
        requireMay(set, wanted);
        Outgoing out = outgoing(set, wanted);
        String table = fileName(set, wanted);
        TableMetadata metadata = new TableMetadata(
                table,
                out.list(),
                accounts.here().displayName(),
                today.now(),
                wanted.reason(),
                out.columns().stream().map(TableColumn::name).toList());
        return Download.of(TableMetadata.TYPE, table + TableMetadata.ENDING, metadata.bytes());
    }

    private static String ids(List<Listed> people) {
        return people.stream().map(one -> one.person().id()).collect(Collectors.joining(" "));
    }

    private String fileName(String set, Wanted wanted) {
        return wanted.format().named + "-" + set + "-" + today.day() + "." + wanted.format().ending;
    }

    private void requireMay(String set, Wanted wanted) {
        sharing.require(set, wanted.isContact() ? Right.WORK : Right.VIEW);
        requireForToCheck(set, wanted);
        if (wanted.isContact() && wanted.reason().isBlank()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "reason-missing",
                    "Contact details go out only with a reason, which is kept in the audit log. Nothing was taken out.");
        }
    }

    /** Who is to check is not called or written to by mistake, and taken out only by who may change the list. */
    private void requireForToCheck(String set, Wanted wanted) {
        if (wanted.toCheck().orElse(false)) {
            sharing.require(set, Right.CHANGE);
        }
    }

    /** What was printed for people counts as gone to them: nobody knows better whether it was posted. */
    private byte[] gone(String set, Wanted wanted, Outgoing out, Function<Letters.Run, byte[]> print) {
        Letters.Order order = order(set, wanted, out, wanted.again().orElse(false));
        Letters.Run run = letters.write(order);
        byte[] printed = print.apply(run);
        writtenTo.record(
                set,
                order.what(),
                order.template(),
                run.written().stream().map(one -> one.person().person().id()).toList());
        return printed;
    }

    private Outgoing outgoing(String set, Wanted wanted) {
        Population records = views.current().population();
        String list = named(sets.getInForce(set), records);
        return new Outgoing(
                list,
                listed(set, wanted),
                columns(set, wanted, records),
                records,
                DayWords.day(today.day()),
                footer.of(list, wanted.reason()));
    }

    private List<TableColumn> columns(String set, Wanted wanted, Population records) {
        Set<String> ofCriteria = desk.columnsOf(set).stream()
                .filter(ShownColumn::ofCriterion)
                .map(ShownColumn::name)
                .collect(Collectors.toSet());
        return Stream.concat(
                        wanted.columns().stream().map(column -> TableColumn.of(column, records)),
                        wanted.furtherFields().stream()
                                .map(name -> ofCriteria.contains(name)
                                        ? TableColumn.ofCriterion(name)
                                        : TableColumn.of(field(name, records), records)))
                .toList();
    }

    private static Field field(String name, Population records) {
        return records.personFields()
                .find(name)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "no-such-field",
                        "People have no field “" + name + "” any more. Nothing was taken out."));
    }

    /** The list with what its dials are set to, since that is another list. */
    private String named(SavedSet list, Population records) {
        String settings = criteria.settings(list, records.fields()).stream()
                .map(DialSetting::words)
                .collect(Collectors.joining(", "));
        return list.publishedName() + (settings.isEmpty() ? "" : " (" + settings + ")");
    }

    /** Of a table, without those who are to check unless they are wanted; elsewhere they are left out by name. */
    private List<Listed> listed(String set, Wanted wanted) {
        boolean all = wanted.format().isContact() || wanted.toCheck().orElse(false);
        return desk.listed(set, wanted.people()).stream()
                .filter(one -> all || !one.isToCheck())
                .toList();
    }

    private Letters.Run run(String set, Wanted wanted, Outgoing out) {
        return letters.write(order(set, wanted, out, wanted.again().orElse(false)));
    }

    private static Letters.Order order(String set, Wanted wanted, Outgoing out, boolean again) {
        What what = switch (wanted.format()) {
            case LETTERS -> What.LETTER;
            case MAIL -> What.EMAIL;
            case CALL_SHEET -> What.CALL;
            case LABELS, CSV, XLSX -> What.LABEL;
        };
        String template = what.isWritten() ? wanted.template() : "";
        boolean toCheck = wanted.toCheck().orElse(false);
        return new Letters.Order(template, what, set, out.people(), out.records(), again, toCheck);
    }

    private byte[] letters(Letters.Run run, Outgoing out) {
        refuseWithoutAnybody(run);
        return paper.letters(
                run.written().stream()
                        .map(one -> new Paper.Letter(
                                paper.inWindow(one.to()).orElseThrow(),
                                one.language(),
                                Letters.day(today.day(), one.language()),
                                one.letter().subject(),
                                one.letter().body()))
                        .toList(),
                letterheads.current(),
                "Letters, " + out.day());
    }

    private byte[] labels(Letters.Run run, Outgoing out) {
        refuseWithoutAnybody(run);
        return paper.labels(
                run.written().stream()
                        .map(one -> paper.onLabel(one.to()).orElseThrow())
                        .toList(),
                "Address labels, " + out.day());
    }

    private static void refuseWithoutAnybody(Letters.Run run) {
        if (run.written().isEmpty()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "nobody-to-write-to",
                    "Nothing can go to any of these people"
                            + run.leftOut().stream()
                                    .findFirst()
                                    .map(one -> ": " + one.why())
                                    .orElse(".")
                            + " Nothing was printed.");
        }
    }

    private byte[] callSheet(Outgoing out, Letters.Run run) {
        refuseWithoutAnybody(run);
        return paper.table(
                "Call sheet: " + out.list() + ", " + out.day(),
                List.of(
                        new Paper.Column("Name", 3),
                        new Paper.Column("Age", 1),
                        new Paper.Column("Phone", 2),
                        new Paper.Column("Mobile", 2),
                        new Paper.Column("Why", 5),
                        new Paper.Column("Next", 2),
                        new Paper.Column("Last attempt", 2),
                        new Paper.Column("Outcome", 4)),
                run.written().stream()
                        .map(Letters.Written::person)
                        .map(one -> List.of(
                                one.person().name(),
                                one.person().age(),
                                Column.PHONE.of(one, out.records()),
                                Column.MOBILE.of(one, out.records()),
                                one.why(),
                                one.nextStep() + " " + one.nextOn(),
                                one.lastAttempt() + " " + one.lastAttemptOn(),
                                ""))
                        .toList(),
                out.footer());
    }
}
