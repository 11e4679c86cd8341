package dipstick.server.outreach;

import dipstick.core.export.ShownColumn;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.readings.DialSetting;
import dipstick.server.readings.ListCriteria;
import dipstick.server.readings.Readings;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.together.Told;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The desk of a list: who is on it, and what is done about them. */
@RestController
@RequestMapping("/api/lists/{set}/desk")
class DeskController {
    private final Desk desk;
    private final DeskWork work;
    private final DeskUndo undo;
    private final PersonLogs logs;
    private final Manners manners;
    private final Outcomes outcomes;
    private final CriteriaSets sets;
    private final Readings readings;
    private final ListCriteria criteria;
    private final SeenPeople seen;
    private final ListedPeople listed;
    private final Sharing sharing;
    private final Told told;
    private final AuditLog audit;

    DeskController(
            Desk desk,
            DeskWork work,
            DeskUndo undo,
            PersonLogs logs,
            Manners manners,
            Outcomes outcomes,
            CriteriaSets sets,
            Readings readings,
            ListCriteria criteria,
            SeenPeople seen,
            ListedPeople listed,
            Sharing sharing,
            Told told,
            AuditLog audit) {
        this.desk = desk;
        this.work = work;
        this.undo = undo;
        this.logs = logs;
        this.manners = manners;
        this.outcomes = outcomes;
        this.sets = sets;
        this.readings = readings;
        this.criteria = criteria;
        this.seen = seen;
        this.listed = listed;
        this.sharing = sharing;
        this.told = told;
        this.audit = audit;
    }

    /**
     * @param readOn the day of the last reading; nothing before the first
     * @param dials as they are set for the list
     * @param show what the set shows of each besides
     * @param bands the names of the set's bands, in their order
     * @param top how many of those on the list the set shows, the first in its order; nothing where it shows all
     * @param all how many there are, with those whom whoever asks may not see
     * @param right what whoever asks may do
     * @param told the number of the last event of the stream that this holds
     * @param mannerRevision 0 where nobody said yet how the list is worked
     */
    record DeskView(
            String name,
            String purpose,
            Optional<String> readOn,
            List<DialSetting> dials,
            List<ShownColumn> show,
            List<String> bands,
            Optional<Integer> top,
            int all,
            Right right,
            List<AttemptOutcome> outcomes,
            Manner manner,
            int mannerRevision,
            long told,
            List<DeskRow> rows) {}

    @GetMapping
    DeskView see(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        long holds = told.last();
        SavedSet saved = sets.getInForce(set);
        audit.recordOnce(Act.LIST_READ, set);
        Desk.Shown shown = desk.shown(set);
        return new DeskView(
                saved.publishedName(),
                saved.json().path("purpose").asString(""),
                readings.latest(set).map(reading -> reading.asOf().toString()),
                criteria.settings(saved, seen.records().fields()),
                shown.show(),
                shown.bands(),
                shown.top(),
                shown.all(),
                sharing.here(set),
                outcomes.all(),
                manners.of(set),
                manners.revision(set),
                holds,
                shown.mine());
    }

    /** What colleagues did about somebody, and the lists that they are on. */
    @GetMapping("/people/{person}")
    PersonLog person(@PathVariable String set, @PathVariable String person) {
        sharing.require(set, Right.VIEW);
        listed.requireListed(set, person, false);
        audit.recordOnce(Act.PERSON_READ, person + ", log");
        return logs.of(person);
    }

    @PostMapping("/work")
    WorkDone work(@PathVariable String set, @Valid @RequestBody Work wanted) {
        sharing.require(set, Right.WORK);
        return work.work(sets.getInForce(set).id(), wanted);
    }

    /** Takes back what whoever asks did at once. */
    @DeleteMapping("/work/{batch}")
    WorkDone undo(@PathVariable String set, @PathVariable String batch) {
        sharing.require(set, Right.WORK);
        return undo.undo(set, batch);
    }
}
