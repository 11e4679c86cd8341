package dipstick.server.records;

import dipstick.core.records.RowProblem;
import dipstick.server.records.Import.State;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.security.Principal;
import java.util.List;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Bringing files in: send one, see what is in it, take its good lines or leave it. */
@RestController
@RequestMapping("/api/imports")
class ImportController {
    private static final int LONGEST_NAME = 300;

    private final Imports imports;

    ImportController(Imports imports) {
        this.imports = imports;
    }

    enum Stage {
        CHECKING,
        CHECKED,
        TAKING,
        TAKEN,
        FAILED
    }

    record LineProblem(long line, String column, String reason) {}

    /**
     * A file on its way in.
     *
     * @param read how many of its bytes are read in this stage
     * @param problems the first of them; all are in the problems file
     * @param unknownPeople how many people the events name who are not on record yet
     * @param absent people on file whom a file of people does not name
     * @param erased rows of people who were erased here, which are left out
     * @param goneRows people who are not on file any more
     * @param reason why it failed, or is not shown yet, where it did
     */
    record ImportView(
            String id,
            FileKind kind,
            String fileName,
            long bytes,
            Stage stage,
            long read,
            int goodRows,
            int badLines,
            List<LineProblem> problems,
            boolean unreadable,
            int absent,
            int erased,
            int newRows,
            int changedRows,
            int unchangedRows,
            int goneRows,
            int unknownPeople,
            String reason) {}

    @PostMapping
    ImportView receive(@RequestParam FileKind kind, @RequestParam String name, HttpServletRequest request)
            throws IOException {
        String shortName = name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME);
        return view(imports.receive(kind, shortName, request.getInputStream()));
    }

    @GetMapping("/{id}")
    ImportView see(@PathVariable String id) {
        return view(find(id));
    }

    /** @param everybody whether a file of people names everybody, so that whoever is not in it goes off file */
    @PostMapping("/{id}/take")
    ImportView take(@PathVariable String id, @RequestParam(defaultValue = "false") boolean everybody, Principal who) {
        Import one = find(id);
        if (!imports.take(one, everybody, who.getName())) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "cannot-be-taken",
                    everybody
                            ? "Only a file of people without a bad line can stand for everybody, and only once."
                                    + " Nothing was changed."
                            : "This file is not ready to be taken, or was taken already. Nothing was changed.");
        }
        return view(one);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@PathVariable String id) throws IOException {
        imports.forget(find(id));
    }

    /** Every bad line of the file, as CSV. */
    @GetMapping(value = "/{id}/problems", produces = "text/csv")
    ResponseEntity<Resource> problems(@PathVariable String id) {
        return Download.of("text/csv;charset=UTF-8", "problems.csv", new FileSystemResource(find(id).problemsFile()));
    }

    private Import find(String id) {
        return imports.find(id)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND,
                        "no-such-import",
                        "This file is not here any more. What was taken of it is kept; send it again if need be."));
    }

    private static ImportView view(Import one) {
        return switch (one.state()) {
            case State.Checking(long read) -> view(one, Stage.CHECKING, read, NOTHING_YET, Changes.NONE, 0, "");
            case State.Checked(FileCheck check) -> view(one, Stage.CHECKED, one.bytes(), check, Changes.NONE, 0, "");
            case State.Taking(FileCheck check, long read) -> view(one, Stage.TAKING, read, check, Changes.NONE, 0, "");
            case State.Taken(FileCheck check, Changes changes, int unknown, boolean shown) ->
                view(one, Stage.TAKEN, one.bytes(), check, changes, unknown, shown ? "" : NOT_SHOWN_YET);
            case State.Failed(String reason) -> view(one, Stage.FAILED, 0, NOTHING_YET, Changes.NONE, 0, reason);
        };
    }

    private static final String NOT_SHOWN_YET =
            "The file is taken and kept, but its records could not be made ready, so"
                    + " lists do not count them yet. Dipstick tries again by itself; you need not send it again.";

    private static final FileCheck NOTHING_YET = new FileCheck(0, 0, List.of(), false, 0, 0);

    private static ImportView view(
            Import one, Stage stage, long read, FileCheck check, Changes changes, int unknownPeople, String reason) {
        return new ImportView(
                one.id(),
                one.kind(),
                one.fileName(),
                one.bytes(),
                stage,
                read,
                check.goodRows(),
                check.badLines(),
                check.firstProblems().stream().map(ImportController::line).toList(),
                check.unreadable(),
                check.absent(),
                check.erased(),
                changes.newRows(),
                changes.changedRows(),
                changes.unchangedRows(),
                changes.goneRows(),
                unknownPeople,
                reason);
    }

    private static LineProblem line(RowProblem problem) {
        return new LineProblem(problem.line(), problem.column(), problem.reason());
    }
}
