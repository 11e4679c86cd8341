package dipstick.server.region;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.practice.Today;
import dipstick.server.region.RegionBeside.BesideRegion;
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
    private final RegionQuestions questions;
    private final RegionBeside beside;
    private final RegionMapper answers;
    private final Sharing sharing;
    private final Today today;
    private final AuditLog audit;

    RegionController(
            CriteriaSets sets,
            RegionQuestions questions,
            RegionBeside beside,
            RegionMapper answers,
            Sharing sharing,
            Today today,
            AuditLog audit) {
        this.sets = sets;
        this.questions = questions;
        this.beside = beside;
        this.answers = answers;
        this.sharing = sharing;
        this.today = today;
        this.audit = audit;
    }

    /**
     * @param shouldHave whether the shares are of those who have what should be on record, or of those who are on the list
     * @param beside nothing where the region has not answered yet
     */
    record ListInRegion(String id, String name, boolean shouldHave, Optional<BesideRegion> beside) {}

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
                            Optional.ofNullable(latest.get(set.id()))
                                    .map(answer -> beside.of(set, shouldHave, answer)));
                })
                .toList();
    }

    /** What a list asks, as a file for the region: its set, those that it names, and its dials; and nobody's name. */
    @GetMapping(value = "/{set}/question", produces = "application/json")
    ResponseEntity<String> send(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        String question = questions.toSend(sets.getInForce(set)).text();
        audit.record(Act.CRITERIA_SENT, set);
        return Download.of("application/json", set + ".question.json", question);
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
