package dipstick.server.state;

import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.state.Blanks;
import dipstick.core.state.Feed;
import dipstick.core.state.Oddity;
import dipstick.core.wording.FieldWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.people.PersonLine;
import dipstick.server.records.Otherwise;
import dipstick.server.records.SaidOtherwise;
import dipstick.server.records.Views;
import dipstick.server.web.CsvTable;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.ErrorResponseException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The state of the records: freshness, blanks, what cannot be so, and records of nobody. */
@RestController
@RequestMapping("/api/records/state")
class StateController {
    private static final int MOST_ROWS = 200;
    private static final String CSV = "text/csv;charset=UTF-8";
    private static final List<String> OF_NOBODY = List.of("person_id", "records");
    private static final List<String> OTHERWISE =
            List.of("person_id", "record", "field", "on_file", "brought_by", "said_otherwise", "said_by");

    private final States states;
    private final Views views;
    private final SaidOtherwise saidOtherwise;
    private final Accounts accounts;
    private final AuditLog audit;

    StateController(States states, Views views, SaidOtherwise saidOtherwise, Accounts accounts, AuditLog audit) {
        this.states = states;
        this.views = views;
        this.saidOtherwise = saidOtherwise;
        this.accounts = accounts;
        this.audit = audit;
    }

    /**
     * @param nobody numbers that records name, though nobody has them
     * @param otherwise what a source says otherwise than another one, whose word stays
     */
    record StateView(
            String asOf,
            List<FeedView> feeds,
            List<BlanksView> blanks,
            List<OddityView> odd,
            NobodyView nobody,
            SaidOtherwiseView otherwise) {}

    /**
     * @param undated how many records have no exact day
     * @param first an ISO date, as is {@code last}; nothing where no record has a day up to today
     * @param usualDays from one day with records to the next, half of the times
     * @param late whether nothing came for much longer
     * @param ended whether nothing came for more than a year
     * @param gap the longest time without records, where it is much longer
     */
    record FeedView(
            String source,
            String kind,
            int records,
            int undated,
            Optional<String> first,
            Optional<String> last,
            int usualDays,
            boolean late,
            boolean ended,
            Optional<GapView> gap) {}

    /** @param from the last day before it, an ISO date */
    record GapView(String from, String to) {}

    /**
     * @param kind empty for people
     * @param words the field in words
     */
    record BlanksView(String kind, String field, String words, int blank, int of) {}

    /** @param records none where it is about people alone */
    record OddityView(Oddity.Sort sort, int records, int people, List<States.Touched> sets) {}

    record NobodyView(int people, int records) {}

    record SaidOtherwiseView(int people, int values) {}

    /** @param total of the rows; only the first are given */
    record OddTable(List<String> columns, List<List<String>> rows, int total) {}

    @GetMapping
    StateView state() {
        States.Known now = states.now();
        Function<Oddity, List<States.Touched>> touching = states.touching(now);
        List<Otherwise> otherwise = saidOtherwise.all();

        return new StateView(
                now.day().toString(),
                now.state().feeds().stream().map(StateController::view).toList(),
                Stream.concat(now.state().blanksOfPeople().stream(), now.state().blanksOfEvents().stream())
                        .map(StateController::view)
                        .toList(),
                now.state().oddities().stream()
                        .map(oddity -> new OddityView(
                                oddity.sort(),
                                oddity.records().cardinality(),
                                oddity.people().cardinality(),
                                touching.apply(oddity)))
                        .toList(),
                new NobodyView(
                        views.current().records().waiting().size(),
                        views.current().eventsOfUnknownPeople()),
                new SaidOtherwiseView(
                        (int) otherwise.stream()
                                .map(Otherwise::person)
                                .distinct()
                                .count(),
                        otherwise.size()));
    }

    @GetMapping("/odd/{sort}")
    OddTable odd(@PathVariable Oddity.Sort sort) {
        States.Known now = states.now();
        Oddity oddity = States.find(now, sort);
        return table(OddRows.of(oddity, now.population()), word(sort));
    }

    private OddTable table(OddRows odd, String what) {
        return table(odd.header(), odd.rows(accounts.here()), "records in doubt, " + what);
    }

    private OddTable table(List<String> header, Stream<List<String>> all, String what) {
        audit.record(Act.PEOPLE_LISTED, what);
        List<List<String>> rows = all.toList();
        return new OddTable(header, rows.stream().limit(MOST_ROWS).toList(), rows.size());
    }

    private ResponseEntity<String> file(OddRows odd, String what) {
        return file(odd.header(), odd.rows(accounts.here()), "records in doubt, " + what, what);
    }

    private ResponseEntity<String> file(List<String> header, Stream<List<String>> rows, String what, String fileName) {
        audit.record(Act.LIST_EXPORTED, what);
        return Download.of(
                CSV,
                fileName.replaceAll("[^\\p{L}\\p{N}_-]+", "-") + "-"
                        + states.now().day() + ".csv",
                CsvTable.of(header, rows));
    }

    /** @param kind of the records; empty for people */
    @GetMapping("/blank")
    OddTable blank(@RequestParam @Size(max = 400) String kind, @RequestParam @Size(max = 200) String field) {
        return table(without(kind, field), "blank " + field + " of " + (kind.isEmpty() ? "people" : kind));
    }

    /** The lists whose criteria ask for the field, and how many of those without it are to check there. */
    @GetMapping("/blank/lists")
    List<States.Touched> blankLists(
            @RequestParam @Size(max = 400) String kind, @RequestParam @Size(max = 200) String field) {
        return states.askingFor(kind, field, without(kind, field).everybody());
    }

    @GetMapping("/blank/file")
    ResponseEntity<String> blankFile(
            @RequestParam @Size(max = 400) String kind, @RequestParam @Size(max = 200) String field) {
        return file(without(kind, field), "blank " + field + " of " + (kind.isEmpty() ? "people" : kind));
    }

    private OddRows without(String kind, String field) {
        Population population = states.now().population();
        Events events = population.events();
        return kind.isEmpty()
                ? new OddRows(
                        population,
                        new BitSet(),
                        population
                                .personFields()
                                .find(field)
                                .map(one -> Blanks.in(population, one))
                                .orElseThrow(StateController::noSuchField))
                : new OddRows(
                        population,
                        events.fields()
                                .find(field)
                                .map(one -> Blanks.in(events, kind, one))
                                .orElseThrow(StateController::noSuchField),
                        new BitSet());
    }

    private static ErrorResponseException noSuchField() {
        return Problems.refused(HttpStatus.NOT_FOUND, "no-such-field", "There is no such field on record any more.");
    }

    /** All of them, for whoever keeps the source. */
    @GetMapping("/odd/{sort}/file")
    ResponseEntity<String> oddFile(@PathVariable Oddity.Sort sort) {
        States.Known now = states.now();
        Oddity oddity = States.find(now, sort);
        return file(OddRows.of(oddity, now.population()), word(sort));
    }

    /** The numbers that nobody has, with how many records each, the most first. */
    @GetMapping("/nobody")
    OddTable nobody() {
        return table(OF_NOBODY, ofNobody(), "records of nobody");
    }

    @GetMapping("/nobody/file")
    ResponseEntity<String> nobodyFile() {
        return file(OF_NOBODY, ofNobody(), "records of nobody", "records of nobody");
    }

    /** What a source says otherwise than another one, whose word stays. */
    @GetMapping("/otherwise")
    OddTable otherwise() {
        return table(OTHERWISE, ofOtherwise(), "said otherwise by another source");
    }

    @GetMapping("/otherwise/file")
    ResponseEntity<String> otherwiseFile() {
        return file(OTHERWISE, ofOtherwise(), "said otherwise by another source", "said otherwise");
    }

    private Stream<List<String>> ofOtherwise() {
        Population population = views.current().population();
        Colleague here = accounts.here();
        return saidOtherwise.all().stream()
                .filter(one -> here.maySeePeopleOf(PersonLine.text(
                        population, population.find(one.person()).orElseThrow(), "provider")))
                .map(one -> List.of(
                        one.person(),
                        one.recordKey().isEmpty() ? "" : one.recordKey().substring("id: ".length()),
                        one.field(),
                        one.kept(),
                        one.owner(),
                        one.said(),
                        one.source()));
    }

    /** Whoever sees own people only does not learn of whom nothing is known. */
    private Stream<List<String>> ofNobody() {
        return accounts.here().ownPeopleOnly()
                ? Stream.of()
                : views.current().records().waiting().entrySet().stream()
                        .sorted(Comparator.comparingInt((Map.Entry<String, Integer> entry) -> -entry.getValue())
                                .thenComparing(Map.Entry::getKey))
                        .map(entry -> List.of(entry.getKey(), String.valueOf(entry.getValue())));
    }

    private static String word(Oddity.Sort sort) {
        return sort.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static FeedView view(Feed feed) {
        Optional<Feed.Span> span = feed.span();
        return new FeedView(
                feed.source(),
                feed.kind(),
                feed.records(),
                feed.undated(),
                span.map(days -> date(days.first())),
                span.map(days -> date(days.last())),
                span.map(Feed.Span::usual).orElse(0),
                span.filter(Feed.Span::late).isPresent(),
                span.filter(Feed.Span::ended).isPresent(),
                span.filter(Feed.Span::gap).map(days -> new GapView(date(days.gapFrom()), date(days.gapTo()))));
    }

    private static BlanksView view(Blanks blanks) {
        return new BlanksView(
                blanks.kind(), blanks.field(), FieldWords.name(blanks.field()), blanks.blank(), blanks.of());
    }

    private static String date(int day) {
        return LocalDate.ofEpochDay(day).toString();
    }
}
