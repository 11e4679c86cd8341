package dipstick.server.privacy;

import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A person's report, their erasure, and which erasures there were. */
@RestController
class PrivacyController {
    private final PersonReports reports;
    private final Erasures erasures;
    private final ReportOnPaper paper;

    PrivacyController(PersonReports reports, Erasures erasures, ReportOnPaper paper) {
        this.reports = reports;
        this.erasures = erasures;
        this.paper = paper;
    }

    enum ReportFormat {
        PDF,
        JSON
    }

    record ReportWanted(
            @NotNull ReportFormat format, @NotNull @Valid Asked asked) {}

    /** @param person typed once more, so that nobody else is erased by a slip */
    record ErasureWanted(
            @NotBlank @Size(max = 400) String person,
            @NotNull @Valid Asked asked) {}

    record ErasureView(
            long id, String stub, String erasedAt, String erasedBy, String askedBy, String why, boolean keptOut) {}

    /** A file with all that is held of somebody: for reading, or with the same tables for a program. */
    @PostMapping("/api/people/{person}/report")
    ResponseEntity<?> report(@PathVariable String person, @Valid @RequestBody ReportWanted wanted) {
        PersonReport report = reports.of(person, wanted.asked());
        return switch (wanted.format()) {
            case PDF -> Download.of(MediaType.APPLICATION_PDF_VALUE, "report.pdf", paper.print(report));
            case JSON -> Download.of(MediaType.APPLICATION_JSON_VALUE, "report.json", report);
        };
    }

    @PostMapping("/api/people/{person}/erasure")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void erase(@PathVariable String person, @Valid @RequestBody ErasureWanted wanted) {
        if (!wanted.person().strip().equals(person)) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "another-person",
                    "What was typed is not this person's number. Nobody was erased.");
        }
        erasures.erase(person, wanted.asked());
    }

    @GetMapping("/api/erasures")
    List<ErasureView> all() {
        return erasures.latest().stream()
                .map(one -> new ErasureView(
                        one.id(),
                        one.stub(),
                        one.erasedAt().toString(),
                        one.erasedBy(),
                        one.askedBy(),
                        one.why(),
                        one.keptOut()))
                .toList();
    }

    /** From now on files that name them may bring them in again; nothing that was erased comes back. */
    @DeleteMapping("/api/erasures/{id}/kept-out")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void letIn(@PathVariable long id) {
        erasures.letIn(id);
    }
}
