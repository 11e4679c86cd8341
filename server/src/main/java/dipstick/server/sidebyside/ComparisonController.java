package dipstick.server.sidebyside;

import dipstick.core.text.NormalText;
import dipstick.core.things.Pairing;
import dipstick.core.things.SideBySide;
import dipstick.core.things.Things;
import dipstick.intake.describe.Written;
import dipstick.intake.files.RowsFile;
import dipstick.intake.propose.Proposal;
import dipstick.intake.propose.Proposing;
import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.files.SentFiles;
import dipstick.server.files.WrongRows;
import dipstick.server.practice.Today;
import dipstick.server.web.CsvTable;
import dipstick.server.web.Download;
import dipstick.server.web.EntityTag;
import dipstick.server.web.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.security.Principal;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Any two lists of things: brought here, laid side by side, seen pile by pile, and laid so again. */
@RestController
@RequestMapping("/api/comparisons")
class ComparisonController {

    private static final int ON_A_PAGE = 100;

    private final Comparisons comparisons;
    private final ThingsOnFile onFile;
    private final Held held;
    private final SentFiles files;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    ComparisonController(
            Comparisons comparisons,
            ThingsOnFile onFile,
            Held held,
            SentFiles files,
            Accounts accounts,
            AuditLog audit,
            Today today) {
        this.comparisons = comparisons;
        this.onFile = onFile;
        this.held = held;
        this.files = files;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
    }

    /**
     * @param field of a person that it seems to be; empty where none is known
     * @param tellsApart whether it has another value in each row
     * @param examples the first of its values
     */
    record ThingsColumn(String name, String field, boolean tellsApart, int blanks, List<String> examples) {}

    /**
     * A list of things that is held here for an hour.
     *
     * @param id by which it is laid beside another
     * @param said what it was read as, in words; empty where it is no file
     * @param readAs how its bytes were read as rows; nothing where it is no file
     *
     * @param openDates whether its days could be read either way
     * @param unreadable how many rows do not fit, or hold a day that cannot be read
     * @param troubles the first of what cannot be read, in sentences
     */
    record ThingsView(
            String id,
            SideKind kind,
            String ref,
            String name,
            String said,
            Optional<Proposal.ReadAs> readAs,
            int rows,
            List<ThingsColumn> columns,
            boolean openDates,
            int unreadable,
            List<String> troubles) {}

    record ThingsWanted(
            @NotNull SideKind kind,
            @NotNull @Size(max = 200) String ref) {}

    record KeyColumnWanted(
            @NotBlank @Size(max = 400) String here,
            @NotBlank @Size(max = 400) String there) {}

    /** @param split between several things in a cell; empty where it is compared as it is */
    record ComparedColumnWanted(
            @NotBlank @Size(max = 400) String here,
            @NotBlank @Size(max = 400) String there,
            @NotNull @Size(max = 10) String split) {}

    /** @param here the id of a list that is held here, and {@code there} of the other */
    record LayingWanted(
            @NotBlank @Size(max = 100) String here,
            @NotBlank @Size(max = 100) String there,
            @NotEmpty @Size(max = 20) List<@NotNull @Valid KeyColumnWanted> key,
            @NotNull @Size(max = 200) List<@NotNull @Valid ComparedColumnWanted> compared) {}

    /**
     * How many there are of each.
     *
     * @param several things that stand in a list more than once
     * @param unknownHere rows whose key is blank
     */
    record LaidView(
            String id,
            int onlyHere,
            int onlyThere,
            int differing,
            int same,
            int several,
            int unknownHere,
            int unknownThere) {}

    /** @param rows a page of all its rows */
    record PileView(List<String> header, int all, List<List<String>> rows) {}

    record SideWanted(
            @NotNull SideKind kind,
            @NotNull @Size(max = 200) String ref,
            @NotNull @Size(max = 400) String name,
            @NotNull @Size(max = 500) List<@NotNull @Size(max = 400) String> columns) {}

    record ComparisonChange(
            @NotBlank @Size(max = 200) String name,
            @NotNull @Valid SideWanted here,
            @NotNull @Valid SideWanted there,
            @NotEmpty @Size(max = 20) List<@NotNull @Valid KeyColumnWanted> key,
            @NotNull @Size(max = 200) List<@NotNull @Valid ComparedColumnWanted> compared) {}

    record ComparisonView(
            String id, int version, String changedAt, String changedBy, String name, Comparisons.Document document) {}

    /**
     * Reads a file as a list of things; it is held for an hour, and never kept.
     *
     * @param encoding by its name; empty for what is found, as separator and sheet are
     */
    @PostMapping("/files")
    ThingsView file(
            @RequestParam String name,
            @RequestParam Optional<Written.DateOrder> dates,
            @RequestParam(defaultValue = "") @Size(max = 60) String encoding,
            @RequestParam(defaultValue = "") @Size(max = 1) String separator,
            @RequestParam(defaultValue = "") @Size(max = 200) String sheet,
            HttpServletRequest request,
            Principal who)
            throws IOException {
        return files.read(name, request.getInputStream(), (fileName, file) -> {
            Proposal proposal = Proposing.of(
                    fileName,
                    file,
                    Proposing.Asked.in(today.day().getYear()).readAs(RowsFile.Said.of(encoding, separator, sheet)));
            ThingsFile read = ThingsFile.read(file, proposal, dates, today.zone());

            return view(
                    SideKind.FILE,
                    "",
                    new Laid.Side(fileName, read.things()),
                    new AsRead(
                            proposal.format(),
                            Optional.of(proposal.readAs()),
                            WrongRows.of(read.troubles()),
                            ThingsFile.fields(proposal.intake())),
                    who);
        });
    }

    /** A roster, a list or everybody on file as a list of things, as it is now. */
    @PostMapping("/things")
    ThingsView things(@Valid @RequestBody ThingsWanted wanted, Principal who) {
        Laid.Side side = onFile.of(wanted.kind(), wanted.ref());
        Map<String, String> fields = side.things().columns().stream()
                .collect(Collectors.toMap(Function.identity(), Function.identity(), (one, _) -> one));
        return view(
                wanted.kind(),
                wanted.ref(),
                side,
                new AsRead("", Optional.empty(), WrongRows.of(List.of()), fields),
                who);
    }

    /**
     * @param how nothing where it is no file
     * @param fields of people that columns are, by the names of the columns
     */
    private record AsRead(String said, Optional<Proposal.ReadAs> how, WrongRows wrong, Map<String, String> fields) {}

    private ThingsView view(SideKind kind, String ref, Laid.Side side, AsRead read, Principal who) {
        Things things = side.things();
        return new ThingsView(
                held.hold(side, who.getName()),
                kind,
                ref,
                side.name(),
                read.said(),
                read.how(),
                things.rows().size(),
                IntStream.range(0, things.columns().size())
                        .mapToObj(column -> column(things, column, read.fields()))
                        .toList(),
                read.wrong().openDates(),
                read.wrong().rows(),
                read.wrong().first());
    }

    private static ThingsColumn column(Things things, int column, Map<String, String> fields) {
        List<String> values = things.rows().stream()
                .map(row -> row.get(column))
                .filter(cell -> !cell.isBlank())
                .toList();
        Set<String> different = new HashSet<>();
        boolean tellsApart = !values.isEmpty()
                && values.size() == things.rows().size()
                && values.stream().allMatch(value -> different.add(NormalText.of(value)));
        return new ThingsColumn(
                things.columns().get(column),
                fields.getOrDefault(things.columns().get(column), ""),
                tellsApart,
                things.rows().size() - values.size(),
                values.stream().distinct().limit(3).toList());
    }

    /** Lays two lists side by side. */
    @PostMapping("/laid")
    LaidView lay(@Valid @RequestBody LayingWanted wanted, Principal who) {
        Laid.Side here = side(wanted.here(), who);
        Laid.Side there = side(wanted.there(), who);
        Pairing pairing = new Pairing(
                wanted.key().stream()
                        .map(pair -> new Pairing.Pair(pair.here(), pair.there()))
                        .toList(),
                wanted.compared().stream()
                        .map(one -> new Pairing.Compared(
                                new Pairing.Pair(one.here(), one.there()),
                                Optional.of(one.split()).filter(split -> !split.isEmpty())))
                        .toList());
        SideBySide result;
        try {
            result = SideBySide.of(here.things(), there.things(), pairing);
        } catch (IllegalArgumentException notThere) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "no-such-column",
                    notThere.getMessage() + " Choose the columns anew. Nothing was laid.");
        }
        return new LaidView(
                held.hold(
                        new Laid(here, there, pairing, result),
                        new HashSet<>(List.of(wanted.here(), wanted.there())),
                        who.getName()),
                result.onlyHere().size(),
                result.onlyThere().size(),
                result.differing().size(),
                result.same().size(),
                result.several().size(),
                result.unknownHere().size(),
                result.unknownThere().size());
    }

    private Laid.Side side(String id, Principal who) {
        return held.find(id, Laid.Side.class, who.getName()).orElseThrow(ComparisonController::notHeld);
    }

    private static ErrorResponseException notHeld() {
        return Problems.refused(
                HttpStatus.NOT_FOUND,
                "not-held",
                "This is not held here any more: files go after an hour. Nothing was kept of them; bring them here again.");
    }

    @GetMapping("/laid/{id}/{pile}")
    PileView pile(
            @PathVariable String id,
            @PathVariable Pile pile,
            @RequestParam(defaultValue = "0") @Min(0) int from,
            Principal who) {
        Pile.Table table = pile.of(laid(id, who));
        return new PileView(
                table.header(), table.size(), table.rows(from, ON_A_PAGE).toList());
    }

    /** All of a pile. */
    @GetMapping(value = "/laid/{id}/{pile}/csv", produces = "text/csv")
    ResponseEntity<String> csv(@PathVariable String id, @PathVariable Pile pile, Principal who) {
        Laid laid = laid(id, who);
        Pile.Table table = pile.of(laid);
        audit.record(
                Act.LIST_EXPORTED,
                laid.here().name() + " beside " + laid.there().name() + ": " + pile + ", rows " + table.size());
        return Download.of(
                "text/csv;charset=UTF-8",
                NormalText.of(pile.name()).replace('_', '-') + "-" + today.day() + ".csv",
                CsvTable.of(table.header(), table.rows(0, Integer.MAX_VALUE)));
    }

    private Laid laid(String id, Principal who) {
        return held.find(id, Laid.class, who.getName()).orElseThrow(ComparisonController::notHeld);
    }

    @GetMapping
    List<ComparisonView> all() {
        return comparisons.here().stream().map(this::view).toList();
    }

    /** Saves how two lists are laid; without If-Match it is new. */
    @PutMapping("/{id}")
    ComparisonView save(
            @PathVariable @Size(max = 200) String id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) @Schema(nullable = true) String ifMatch,
            @Valid @RequestBody ComparisonChange change,
            Principal who) {
        Comparisons.Document document = new Comparisons.Document(
                source(change.here()),
                source(change.there()),
                change.key().stream()
                        .map(pair -> new Comparisons.KeyColumn(pair.here(), pair.there()))
                        .toList(),
                change.compared().stream()
                        .map(one -> new Comparisons.ComparedColumn(one.here(), one.there(), one.split()))
                        .toList());
        Optional<Integer> expected = Optional.ofNullable(ifMatch).map(EntityTag::number);
        return view(comparisons.save(id, change.name().strip(), document, expected, who.getName()));
    }

    private static Comparisons.Source source(SideWanted side) {
        return new Comparisons.Source(side.kind(), side.ref(), side.name(), side.columns());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id, @RequestHeader(HttpHeaders.IF_MATCH) String ifMatch) {
        comparisons.remove(id, EntityTag.number(ifMatch));
    }

    private ComparisonView view(SavedComparison saved) {
        return new ComparisonView(
                saved.id(),
                saved.version(),
                saved.changedAt().toString(),
                accounts.displayName(saved.changedBy()),
                saved.name(),
                Comparisons.document(saved));
    }
}
