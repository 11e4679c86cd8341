package dipstick.server.lists;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
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
import dipstick.server.readings.ListCriteria;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
    private final Evaluators evaluators;
    private final PeopleReader people;
    private final ListedPeople listed;
    private final Sharing sharing;
    private final Accounts accounts;
    private final AuditLog audit;

    ListController(
            CriteriaSets sets,
            ListCriteria criteria,
            Evaluators evaluators,
            PeopleReader people,
            ListedPeople listed,
            Sharing sharing,
            Accounts accounts,
            AuditLog audit) {
        this.sets = sets;
        this.criteria = criteria;
        this.listed = listed;
        this.sharing = sharing;
        this.accounts = accounts;
        this.evaluators = evaluators;
        this.people = people;
        this.audit = audit;
    }

    /**
     * @param problem why the set cannot be evaluated over the records of now; empty where it can
     */
    record ListSummary(
            String id,
            String name,
            String purpose,
            int on,
            int toCheck,
            int has,
            int eligible,
            boolean shouldHave,
            String problem) {}

    record ListPage(String id, String name, String purpose, String asOf, List<ListRow> rows) {}

    @GetMapping
    List<ListSummary> all() {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        return sets.inForce().stream()
                .filter(set -> sharing.here(set.id()).includes(Right.VIEW))
                .map(set -> summary(set, evaluator))
                .toList();
    }

    @GetMapping("/{id}")
    ListPage list(@PathVariable String id, @RequestParam Optional<LocalDate> asOf) {
        sharing.require(id, Right.VIEW);
        SavedSet saved = sets.getInForce(id);
        Evaluator evaluator = evaluators.asOf(asOf);
        CriteriaSet set = read(saved, evaluator);
        audit.record(Act.LIST_READ, id);
        return new ListPage(
                id, saved.publishedName(), set.purpose(), evaluator.asOf().toString(), rows(evaluator, set));
    }

    @GetMapping(value = "/{id}/csv", produces = "text/csv")
    ResponseEntity<byte[]> csv(@PathVariable String id, @RequestParam Optional<LocalDate> asOf) {
        sharing.require(id, Right.VIEW);
        Evaluator evaluator = evaluators.asOf(asOf);
        SavedSet saved = sets.getInForce(id);
        String csv = ListCsv.of(rows(evaluator, read(saved, evaluator)), evaluator.population());
        audit.record(Act.LIST_EXPORTED, id + " as of " + evaluator.asOf());
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(id + "-" + evaluator.asOf() + ".csv", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(csv.getBytes(StandardCharsets.UTF_8));
    }

    /** Somebody on a list, with the reasons. */
    @GetMapping("/{id}/people/{person}")
    PersonView person(@PathVariable String id, @PathVariable String person, @RequestParam Optional<LocalDate> asOf) {
        sharing.require(id, Right.VIEW);
        Evaluator evaluator = evaluators.asOf(asOf);
        CriteriaSet set = read(sets.getInForce(id), evaluator);
        OptionalInt number = evaluator.population().find(person);
        boolean onIt =
                number.isPresent() && evaluator.read(set).list().possible().get(number.getAsInt());
        listed.requireListed(id, person, onIt);
        return people.read(person, evaluator, set);
    }

    /** Those whom whoever asks may see. */
    private List<ListRow> rows(Evaluator evaluator, CriteriaSet set) {
        Reading reading = evaluator.read(set);
        Colleague here = accounts.here();
        return evaluator.members(reading).stream()
                .map(member -> ListRow.of(reading, member))
                .filter(row -> here.maySeePeopleOf(row.person().provider()))
                .toList();
    }

    private ListSummary summary(SavedSet saved, Evaluator evaluator) {
        try {
            Reading reading = evaluator.read(readOrSay(saved, evaluator));
            return new ListSummary(
                    saved.id(),
                    saved.publishedName(),
                    reading.set().purpose(),
                    reading.list().yesCount(),
                    reading.list().unsureCount(),
                    reading.eligibleAndHas().yesCount(),
                    reading.eligible().yesCount(),
                    reading.set().shouldHaveInForce().isPresent(),
                    "");
        } catch (InvalidCriteria invalid) {
            return new ListSummary(saved.id(), saved.publishedName(), "", 0, 0, 0, 0, false, WRONG);
        }
    }

    private CriteriaSet read(SavedSet saved, Evaluator evaluator) {
        try {
            return readOrSay(saved, evaluator);
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(HttpStatus.UNPROCESSABLE_CONTENT, "invalid-criteria", WRONG);
        }
    }

    private CriteriaSet readOrSay(SavedSet saved, Evaluator evaluator) throws InvalidCriteria {
        return criteria.of(saved, evaluator.population().personFields());
    }
}
