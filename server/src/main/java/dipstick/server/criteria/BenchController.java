package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.NearTheLine;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.BenchAnswer.Finding;
import dipstick.server.criteria.WhoPage.Part;
import dipstick.server.people.PeopleReader;
import dipstick.server.people.PersonView;
import dipstick.server.web.Problems;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The bench: a document as it stands in the browser, saved or not, comes whole and its levels go back. */
@RestController
@RequestMapping("/api/bench")
class BenchController {
    private final CriteriaDocuments documents;
    private final Evaluators evaluators;
    private final PeopleReader people;
    private final AuditLog audit;

    BenchController(CriteriaDocuments documents, Evaluators evaluators, PeopleReader people, AuditLog audit) {
        this.documents = documents;
        this.evaluators = evaluators;
        this.people = people;
        this.audit = audit;
    }

    /**
     * @param asOf today where it is absent
     * @param settings of the dials, by name
     */
    record Draft(
            @NotNull JsonNode document,
            Optional<LocalDate> asOf,
            @NotNull Map<String, String> settings) {}

    /**
     * @param criterion of the parts that are of one
     * @param band the name of the band, or nothing for those who are in none
     */
    record WhoRequest(
            @Valid @NotNull Draft draft,
            @NotNull Part part,
            Optional<String> criterion,
            Optional<String> band,
            Optional<String> after) {}

    /** @param criterion its own answers, or the list's where there is none */
    record NearRequest(@Valid @NotNull Draft draft, Optional<String> criterion) {}

    record PersonRequest(
            @Valid @NotNull Draft draft, @NotBlank String person) {}

    /** What is wrong with the draft, or else its levels. */
    @PostMapping
    BenchAnswer levels(@Valid @RequestBody Draft draft) {
        Evaluator evaluator = evaluator(draft);
        try {
            Reading reading = evaluator.read(read(draft, evaluator));
            return BenchAnswer.of(evaluator, reading, draft.document(), sharedNames(draft, evaluator));
        } catch (InvalidCriteria invalid) {
            List<Finding> findings = new ArrayList<>();
            invalid.problems()
                    .forEach((document, problems) -> problems.forEach(
                            problem -> findings.add(new Finding(document, problem.pointer(), problem.message()))));
            return BenchAnswer.refused(
                    evaluator.asOf(),
                    findings,
                    ReadableLines.of(
                            draft.document(),
                            invalid,
                            rest -> read(new Draft(rest, draft.asOf(), draft.settings()), evaluator)),
                    sharedNames(draft, evaluator));
        }
    }

    private Set<String> sharedNames(Draft draft, Evaluator evaluator) {
        return documents
                .vocabularyHere(draft.document(), evaluator.population())
                .sharedNames();
    }

    /** The people behind a number. */
    @PostMapping("/who")
    WhoPage who(@Valid @RequestBody WhoRequest request) {
        Evaluator evaluator = evaluator(request.draft());
        Reading reading = evaluator.read(valid(request.draft(), evaluator));
        audit.record(Act.PEOPLE_LISTED, request.part() + " of " + reading.set().id() + " as of " + evaluator.asOf());
        return WhoPage.of(evaluator, reading, request.part(), request.criterion(), request.band(), request.after());
    }

    /** Whose answer changes within a month before or after, on which day and why. */
    @PostMapping("/near")
    NearPage near(@Valid @RequestBody NearRequest request) {
        Evaluator evaluator = evaluator(request.draft());
        CriteriaSet set = valid(request.draft(), evaluator);
        String of = request.criterion().map(id -> "NEAR " + id + " of ").orElse("NEAR the line of ");
        audit.record(Act.PEOPLE_LISTED, of + set.id() + " as of " + evaluator.asOf());
        NearTheLine near = new NearTheLine(set, evaluator.asOf(), day -> evaluators.sameRecordsAsOf(evaluator, day));
        return NearPage.of(evaluator, near, request.criterion().map(id -> criterion(set, id)));
    }

    /** The list and its coverage through two years. */
    @PostMapping("/ribbon")
    Ribbon ribbon(@Valid @RequestBody Draft draft) {
        Evaluator now = evaluators.asOf(Optional.empty());
        return Ribbon.of(valid(draft, now), now.asOf(), day -> evaluators.sameRecordsAsOf(now, day));
    }

    private static Criterion criterion(CriteriaSet set, String id) {
        return set.criteria()
                .filter(criterion -> !criterion.off() && criterion.id().equals(id))
                .findFirst()
                .orElseThrow(WhoPage::noSuchCriterion);
    }

    /** One person, with the reasons of the draft's criteria. */
    @PostMapping("/person")
    PersonView person(@Valid @RequestBody PersonRequest request) {
        Evaluator evaluator = evaluator(request.draft());
        return people.read(request.person(), evaluator, valid(request.draft(), evaluator));
    }

    private Evaluator evaluator(Draft draft) {
        return evaluators.asOf(draft.asOf());
    }

    private CriteriaSet read(Draft draft, Evaluator evaluator) throws InvalidCriteria {
        return documents.readHere(
                draft.document(), draft.settings(), evaluator.population().fields());
    }

    private CriteriaSet valid(Draft draft, Evaluator evaluator) {
        try {
            return read(draft, evaluator);
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-criteria",
                    "The criteria cannot be evaluated as they stand. What is wrong is shown beside them.");
        }
    }
}
