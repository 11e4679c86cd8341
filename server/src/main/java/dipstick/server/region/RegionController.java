package dipstick.server.region;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.NamedPeople;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.parts.SentQuestion;
import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.practice.Today;
import dipstick.server.readings.ListCriteria;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Download;
import dipstick.server.web.Problems;
import java.security.Principal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A list beside those of all practices of a region: what it asks them, and what they answered. */
@RestController
@RequestMapping("/api/region")
class RegionController {
    private final CriteriaSets sets;
    private final ListCriteria criteria;
    private final Evaluators evaluators;
    private final RegionMapper answers;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Today today;
    private final AuditLog audit;

    RegionController(
            CriteriaSets sets,
            ListCriteria criteria,
            Evaluators evaluators,
            RegionMapper answers,
            Sharing sharing,
            Accounts accounts,
            Today today,
            AuditLog audit) {
        this.sets = sets;
        this.criteria = criteria;
        this.evaluators = evaluators;
        this.answers = answers;
        this.sharing = sharing;
        this.accounts = accounts;
        this.today = today;
        this.audit = audit;
    }

    /**
     * @param shouldHave whether the shares are of those who have what should be on record, or of those who are on the list
     * @param beside nothing where the region has not answered yet
     */
    record ListInRegion(String id, String name, boolean shouldHave, Optional<BesideRegion> beside) {}

    /**
     * @param sameQuestion whether the region was asked what the list asks now
     * @param here by the records of now, as of the day that the region was asked for; nothing where nobody is meant
     * @param everywhere of all practices together; nothing where it is not told
     * @param quarterFrom what a quarter of the practices reach or exceed; nothing where fewer than four tell theirs
     * @param quarterUpTo what a quarter of them do not exceed
     * @param untold of how many practices the share is not told, or nobody is meant
     */
    record BesideRegion(
            String asOf,
            boolean sameQuestion,
            Optional<Portion> here,
            Optional<Portion> everywhere,
            Optional<Portion> quarterFrom,
            Optional<Portion> quarterUpTo,
            int practices,
            int untold,
            String broughtInAt,
            String broughtInBy) {}

    /** @param name of the list */
    record BroughtIn(String id, String name, String asOf, int practices) {}

    @GetMapping
    List<ListInRegion> all() {
        Map<String, RegionAnswer> latest = answers.latest().stream()
                .map(RegionAnswer.Row::answer)
                .collect(Collectors.toMap(RegionAnswer::setId, Function.identity()));
        return sets.inForce().stream()
                .filter(set -> sharing.here(set.id()).includes(Right.VIEW))
                .map(set -> {
                    boolean shouldHave = set.json().path("shouldHave").isObject();
                    return new ListInRegion(
                            set.id(),
                            set.publishedName(),
                            shouldHave,
                            Optional.ofNullable(latest.get(set.id())).map(answer -> beside(set, shouldHave, answer)));
                })
                .toList();
    }

    private BesideRegion beside(SavedSet set, boolean shouldHave, RegionAnswer answer) {
        List<Portion> shares = answer.told().shares(shouldHave);
        Optional<List<Portion>> enough = Optional.of(shares).filter(some -> some.size() >= 4);
        return new BesideRegion(
                answer.asOf().toString(),
                question(set).fingerprint().equals(answer.asked()),
                criteria.reading(set, evaluators.asOf(Optional.of(answer.asOf())))
                        .map(LevelCounts::of)
                        .flatMap(levels -> Counts.of(levels).share(shouldHave)),
                answer.told().all().share(shouldHave),
                enough.map(Portion::quarterFrom),
                enough.map(Portion::quarterUpTo),
                answer.told().practices().size(),
                answer.told().practices().size() - shares.size(),
                answer.broughtInAt().toString(),
                accounts.displayName(answer.broughtInBy()));
    }

    private SentQuestion question(SavedSet set) {
        return new SentQuestion(
                sets.withNamed(set).stream().map(CriteriaSource::json).toList(),
                criteria.dialsOf(set),
                today.zone(),
                today.day());
    }

    /** What a list asks, as a file for the region: its set, those that it names, and its dials; and nobody's name. */
    @GetMapping(value = "/{set}/question", produces = "application/json")
    ResponseEntity<String> send(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        SavedSet list = sets.getInForce(set);
        List<CriteriaSource> documents = sets.withNamed(list);
        if (documents.stream().anyMatch(one -> !sharing.here(one.id()).includes(Right.VIEW))) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "names-unshared",
                    "This set names another that is not shared with you. Whoever owns it can send the question.");
        }
        List<String> naming = documents.stream()
                .filter(one -> NamedPeople.areIn(one.json()))
                .map(one -> "“" + one.name() + "”")
                .toList();
        if (!naming.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "names-people",
                    String.join(", ", naming) + " names people of this practice, by a roster or by their numbers. That"
                            + " means nobody elsewhere, and must not leave the house; so there is no question to send.");
        }
        audit.record(Act.CRITERIA_SENT, set);
        return Download.of(
                "application/json", set + ".question.json", question(list).text());
    }

    /** Takes what the region answered: its levels.json. */
    @PostMapping("/answers")
    @Transactional
    BroughtIn bringIn(@RequestBody String text, Principal who) {
        LevelsFile file = LevelsFile.parse(text);
        SavedSet list = sets.inForce().stream()
                .filter(set ->
                        set.id().equals(file.setId()) && sharing.here(set.id()).includes(Right.VIEW))
                .findFirst()
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND,
                        "no-such-list",
                        "These are the levels of “" + file.setId() + "”, and no list here is of that set. Nothing was"
                                + " changed."));
        RegionAnswer answer =
                new RegionAnswer(list.id(), file.asOf(), file.asked(), file.told(), today.now(), who.getName());
        answers.keep(answer.row());
        audit.record(Act.REGION_ANSWER_CHANGED, list.id() + ", as of " + file.asOf());
        return new BroughtIn(
                list.id(),
                list.publishedName(),
                file.asOf().toString(),
                file.told().practices().size());
    }

    /** Lets go of an answer; the one of the day before it is shown then. */
    @DeleteMapping("/{set}/answers/{asOf}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    void remove(@PathVariable String set, @PathVariable LocalDate asOf) {
        sharing.require(set, Right.VIEW);
        if (answers.remove(set, asOf) == 1) {
            audit.record(Act.REGION_ANSWER_CHANGED, set + ", as of " + asOf + ", removed");
        }
    }
}
