package dipstick.server.exchange;

import dipstick.core.population.Population;
import dipstick.core.wording.DayWords;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.exchange.Letters.LeftOut;
import dipstick.server.exchange.Letters.Way;
import dipstick.server.outreach.Desk;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
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
    private final CriteriaSets sets;
    private final Views views;
    private final Sharing sharing;
    private final ExportFooter footer;
    private final PracticeSettings practice;
    private final Today today;
    private final AuditLog audit;
    private final Paper paper = new Paper();

    ExportController(
            Desk desk,
            Letters letters,
            CriteriaSets sets,
            Views views,
            Sharing sharing,
            ExportFooter footer,
            PracticeSettings practice,
            Today today,
            AuditLog audit) {
        this.desk = desk;
        this.letters = letters;
        this.sets = sets;
        this.views = views;
        this.sharing = sharing;
        this.footer = footer;
        this.practice = practice;
        this.today = today;
        this.audit = audit;
    }

    /** What comes out. */
    enum Format {
        CSV("csv", "text/csv;charset=UTF-8"),
        XLSX("xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
        CALL_SHEET("pdf", "application/pdf"),
        LETTERS("pdf", "application/pdf"),
        LABELS("pdf", "application/pdf");

        private final String ending;
        private final String type;

        Format(String ending, String type) {
            this.ending = ending;
            this.type = type;
        }

        /** Whether it says how to reach people whatever its columns are. */
        boolean isContact() {
            return this == CALL_SHEET || this == LETTERS || this == LABELS;
        }
    }

    /**
     * @param people in the order in which they are to come
     * @param columns of a table
     * @param template of letters
     * @param reason why contact details are taken out; may be empty where there are none
     */
    record Wanted(
            @NotNull Format format,
            @NotEmpty @Size(max = 20_000) List<String> people,
            @NotNull @Size(max = 40) List<Column> columns,
            @NotNull @Size(max = 100) String template,
            @NotNull @Size(max = 400) String reason) {}

    /** @param byLanguage how many letters there are in each language */
    record LetterCheck(Map<String, Long> byLanguage, List<LeftOut> leftOut) {}

    /** Who would be written to, and who would be left out and why. */
    @PostMapping("/letters-check")
    LetterCheck check(@PathVariable String set, @Valid @RequestBody Wanted wanted) {
        sharing.require(set, Right.WORK);
        Letters.Run run = run(set, wanted, outgoing(set, wanted));
        return new LetterCheck(
                run.written().stream()
                        .collect(Collectors.groupingBy(Letters.Written::language, TreeMap::new, Collectors.counting())),
                run.leftOut());
    }

    @PostMapping
    ResponseEntity<byte[]> takeOut(@PathVariable String set, @Valid @RequestBody Wanted wanted) throws IOException {
        boolean contact =
                wanted.format().isContact() || wanted.columns().stream().anyMatch(Column::isContact);
        sharing.require(set, contact ? Right.WORK : Right.VIEW);
        if (contact && wanted.reason().isBlank()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "reason-missing",
                    "Contact details go out only with a reason, which is kept in the audit log. Nothing was taken out.");
        }
        Outgoing out = outgoing(set, wanted);
        byte[] bytes = switch (wanted.format()) {
            case CSV -> Spreadsheets.csv(out, wanted.columns());
            case XLSX -> Spreadsheets.xlsx(out, wanted.columns());
            case CALL_SHEET -> callSheet(out);
            case LETTERS -> letters(run(set, wanted, out), out);
            case LABELS -> labels(out);
        };
        audit.record(
                Act.LIST_EXPORTED,
                set + " as " + wanted.format() + ", " + out.people().size() + " people: "
                        + wanted.columns().stream()
                                .map(column -> column.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(" "))
                        + (wanted.reason().isBlank()
                                ? ""
                                : "; " + wanted.reason().strip()));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(wanted.format().type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(
                                        set + "-" + today.day() + "." + wanted.format().ending, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(bytes);
    }

    private Outgoing outgoing(String set, Wanted wanted) {
        Population records = views.current().population();
        return new Outgoing(
                sets.getInForce(set).publishedName(),
                desk.listed(set, wanted.people()),
                records,
                practice.practice(),
                DayWords.day(today.day()),
                footer.of(sets.getInForce(set).publishedName(), wanted.reason()));
    }

    private Letters.Run run(String set, Wanted wanted, Outgoing out) {
        return letters.write(
                wanted.template(), Way.LETTER, sets.getInForce(set).publishedName(), out.people(), out.records());
    }

    private byte[] letters(Letters.Run run, Outgoing out) {
        if (run.written().isEmpty()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "nobody-to-write-to",
                    "None of these people can be written to: "
                            + run.leftOut().getFirst().why() + " No letter was made.");
        }
        return paper.letters(
                run.written().stream()
                        .map(one -> new Paper.Addressed(List.of(one.to().split("\n")), one.letter()))
                        .toList(),
                out.practice(),
                out.day(),
                out.footer());
    }

    private byte[] labels(Outgoing out) {
        List<List<String>> addresses = out.people().stream()
                .filter(one -> one.inTheWay().isEmpty())
                .map(one -> Letters.address(out.records(), one))
                .filter(lines -> !lines.isEmpty())
                .toList();
        if (addresses.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "nobody-to-write-to",
                    "None of these people has an address on record and may be written to. No label was made.");
        }
        return paper.labels(addresses, out.footer());
    }

    private byte[] callSheet(Outgoing out) {
        return paper.table(
                out.list() + ", " + out.day(),
                List.of("Name", "Age", "Phone", "Mobile", "Why", "Next", "Last attempt", "Outcome"),
                new float[] {3, 1, 2, 2, 5, 2, 2, 4},
                out.people().stream()
                        .map(one -> List.of(
                                one.person().name(),
                                one.person().age(),
                                Column.PHONE.of(one, out.records()),
                                Column.MOBILE.of(one, out.records()),
                                one.inTheWay().isEmpty() ? one.why() : "Not to be called: " + one.inTheWay(),
                                one.nextStep() + " " + one.nextOn(),
                                one.lastAttempt() + " " + one.lastAttemptOn(),
                                ""))
                        .toList(),
                out.footer());
    }
}
