package dipstick.server.lists;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ListLayout;
import dipstick.core.export.ShownColumn;
import dipstick.core.population.Population;
import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.ListedPeople;
import dipstick.server.people.PeopleReader;
import dipstick.server.people.PersonView;
import dipstick.server.practice.Today;
import dipstick.server.readings.DialSetting;
import dipstick.server.readings.ListCriteria;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import dipstick.server.web.TableMetadata;
import io.swagger.v3.oas.annotations.Parameter;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The lists: one for each saved criteria set, as of a day. */
@RestController
@RequestMapping("/api/lists")
class ListController {
    static final String WRONG =
            "This set does not fit the records any more, so it has no list. Open it in Criteria to see what is wrong.";

    private final CriteriaSets sets;
    private final ListCriteria criteria;
    private final ListSummaries summaries;
    private final Evaluators evaluators;
    private final PeopleReader people;
    private final ListedPeople listed;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Today today;
    private final AuditLog audit;

    ListController(
            CriteriaSets sets,
            ListCriteria criteria,
            ListSummaries summaries,
            Evaluators evaluators,
            PeopleReader people,
            ListedPeople listed,
            Sharing sharing,
            Accounts accounts,
            Today today,
            AuditLog audit) {
        this.sets = sets;
        this.criteria = criteria;
        this.summaries = summaries;
        this.listed = listed;
        this.sharing = sharing;
        this.accounts = accounts;
        this.today = today;
        this.evaluators = evaluators;
        this.people = people;
        this.audit = audit;
    }

    /**
     * @param dials as they are set for the list, or for this look at it
     * @param show the columns that the set shows besides, in their order, {@code top} how many of those on the list it
     *     shows, and {@code all} how many there are on it whom whoever asks may not see too
     */
    record ListPage(
            String id,
            String name,
            String purpose,
            String asOf,
            List<DialSetting> dials,
            List<ShownColumn> show,
            Optional<Integer> top,
            int all,
            List<ListRow> rows) {}

    /** The lists that whoever asks may see. */
    @GetMapping
    List<ListSummary> all() {
        return summaries.here();
    }

    /**
     * The list as of a day.
     *
     * @param parameters {@code asOf}, and any number of {@code dial} as NAME=VALUE, for this look alone
     */
    @GetMapping("/{id}")
    ListPage list(
            @PathVariable String id,
            @RequestParam Optional<LocalDate> asOf,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> parameters) {
        sharing.require(id, Right.VIEW);
        SavedSet saved = sets.getInForce(id);
        Evaluator evaluator = evaluators.asOf(asOf);
        CriteriaSet set = read(saved, settings(parameters), evaluator);
        audit.record(Act.LIST_READ, id);
        Rows rows = rows(evaluator, set);
        return new ListPage(
                id,
                saved.publishedName(),
                set.purpose(),
                evaluator.asOf().toString(),
                criteria.settings(saved, set, evaluator.population().fields()),
                rows.header(),
                set.top(),
                rows.all(),
                rows.seen());
    }

    private static Map<String, String> settings(MultiValueMap<String, String> parameters) {
        Map<String, String> settings = new LinkedHashMap<>();
        for (String dial : parameters.getOrDefault("dial", List.of())) {
            int equals = dial.indexOf('=');
            if (equals > 0) {
                settings.put(dial.substring(0, equals), dial.substring(equals + 1));
            }
        }
        return settings;
    }

    @GetMapping(value = "/{id}/csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(
            @PathVariable String id,
            @RequestParam Optional<LocalDate> asOf,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> parameters) {
        Table table = table(id, asOf, settings(parameters));
        List<ListRow> shown =
                table.rows().seen().stream().filter(row -> !row.beyondTop()).toList();
        String csv = ListCsv.of(table.rows().header(), shown, table.records());
        audit.record(
                Act.LIST_EXPORTED,
                table.words() + "; of "
                        + shown.stream().map(row -> row.person().id()).collect(Collectors.joining(" ")));
        return Download.of("text/csv;charset=UTF-8", table.fileName(), csv.getBytes(StandardCharsets.UTF_8));
    }

    /** What the CSV is, who took it out and when: to be kept beside it. */
    @GetMapping(value = "/{id}/csv" + TableMetadata.ENDING, produces = TableMetadata.TYPE)
    ResponseEntity<byte[]> csvMetadata(
            @PathVariable String id,
            @RequestParam Optional<LocalDate> asOf,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> parameters) {
        Table table = table(id, asOf, settings(parameters));
        TableMetadata metadata = new TableMetadata(
                table.fileName(),
                table.title(),
                accounts.here().displayName(),
                today.now(),
                table.howMany(),
                ListCsv.header(table.rows().header(), table.records()));
        return Download.of(TableMetadata.TYPE, table.fileName() + TableMetadata.ENDING, metadata.bytes());
    }

    /**
     * A list as a table.
     *
     * @param words for the audit log
     */
    private record Table(Rows rows, Population records, String title, String fileName, String words) {
        /** How many of those on the list it leaves out since the set shows only so many; empty where none. */
        String howMany() {
            long beyond = rows.seen().stream().filter(ListRow::beyondTop).count();
            long on = rows.seen().stream()
                    .filter(row -> row.state() == ListMember.State.ON)
                    .count();
            return beyond == 0 ? "" : "The first " + (on - beyond) + " of " + on + " on the list";
        }
    }

    private Table table(String id, Optional<LocalDate> asOf, Map<String, String> settings) {
        sharing.require(id, Right.VIEW);
        Evaluator evaluator = evaluators.asOf(asOf);
        SavedSet saved = sets.getInForce(id);
        CriteriaSet set = read(saved, settings, evaluator);
        String dials = criteria.settings(saved, set, evaluator.population().fields()).stream()
                .map(dial -> ", " + dial.words())
                .collect(Collectors.joining());
        return new Table(
                rows(evaluator, set),
                evaluator.population(),
                saved.publishedName() + ", " + DayWords.day(evaluator.asOf()) + dials,
                "list-" + id + "-" + evaluator.asOf() + ".csv",
                id + " as of " + evaluator.asOf() + (settings.isEmpty() ? "" : " with " + settings));
    }

    /** Somebody on a list, with the reasons. */
    @GetMapping("/{id}/people/{person}")
    PersonView person(
            @PathVariable String id,
            @PathVariable String person,
            @RequestParam Optional<LocalDate> asOf,
            @Parameter(hidden = true) @RequestParam MultiValueMap<String, String> parameters) {
        sharing.require(id, Right.VIEW);
        Evaluator evaluator = evaluators.asOf(asOf);
        CriteriaSet set = read(sets.getInForce(id), settings(parameters), evaluator);
        OptionalInt number = evaluator.population().find(person);
        boolean onIt =
                number.isPresent() && evaluator.read(set).list().possible().get(number.getAsInt());
        listed.requireListed(id, person, onIt);
        return people.read(person, evaluator, set);
    }

    /**
     * A list in the order that its set gives it.
     *
     * @param header of the columns that the set shows besides, and {@code all} how many are on it
     * @param seen those whom whoever asks may see
     */
    private record Rows(List<ShownColumn> header, int all, List<ListRow> seen) {}

    private Rows rows(Evaluator evaluator, CriteriaSet set) {
        Reading reading = evaluator.read(set);
        Colleague here = accounts.here();
        ListLayout layout = new ListLayout(set, evaluator, reading.list().possible());
        List<ListMember> ordered = layout.ordered(evaluator.members(reading));
        Set<ListMember> first = Set.copyOf(layout.firstOf(ordered));
        List<ListRow> all = ordered.stream()
                .map(member -> ListRow.of(reading, member, !first.contains(member), layout))
                .toList();
        return new Rows(
                layout.header(),
                all.size(),
                all.stream()
                        .filter(row -> here.maySeePeopleOf(row.person().provider()))
                        .toList());
    }

    private CriteriaSet read(SavedSet saved, Map<String, String> settings, Evaluator evaluator) {
        try {
            return criteria.of(saved, settings, evaluator.population().fields());
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-criteria",
                    settings.isEmpty()
                            ? WRONG
                            : "The list cannot be looked at with these settings: " + invalid.first());
        }
    }
}
