package dipstick.server.outreach.desk;

import dipstick.core.export.ShownColumn;
import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.ListedPeople;
import dipstick.server.outreach.attempts.Outcomes;
import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.log.PersonLog;
import dipstick.server.outreach.log.PersonLogs;
import dipstick.server.outreach.plan.Manner;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.outreach.seen.SeenPeople;
import dipstick.server.outreach.work.DeskUndo;
import dipstick.server.outreach.work.DeskWork;
import dipstick.server.outreach.work.Work;
import dipstick.server.outreach.work.WorkDone;
import dipstick.server.readings.DialSetting;
import dipstick.server.readings.ListCriteria;
import dipstick.server.readings.Readings;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.together.Told;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
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
    private final Accounts accounts;
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
            Accounts accounts,
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
        this.accounts = accounts;
        this.told = told;
        this.audit = audit;
    }

    /**
     * @param readOn the day of the last reading; nothing before the first
     * @param dials as they are set for the list
     * @param show what the set shows of each besides
     * @param top how many of those on the list the set shows, the first in its order; nothing where it shows all
     * @param ordered whether the set says in which order they stand
     * @param part the name of the one that is given; empty for the whole list
     * @param all how many are on the list or lately were, also those whom whoever asks may not see
     * @param mine how many of them they may see
     * @param right what whoever asks may do
     * @param told the number of the last event of the stream that this holds
     * @param mannerRevision 0 where nobody said yet how the list is worked
     * @param queues how many are in each pile, of the part and band that are asked for
     * @param bands how many of the pile are in each band, in the order of the set
     * @param beyond how many of the part the set leaves out, since it shows only so many
     * @param total how many are asked for
     * @param groups how many stand under each heading, in their order; none where they are not gathered
     * @param rows the page of them
     */
    record DeskView(
            String name,
            String purpose,
            Optional<String> readOn,
            List<DialSetting> dials,
            List<ShownColumn> show,
            Optional<Integer> top,
            boolean ordered,
            String part,
            int all,
            int mine,
            Right right,
            List<AttemptOutcome> outcomes,
            Manner manner,
            int mannerRevision,
            long told,
            List<InQueue> queues,
            List<DeskSight.InBand> bands,
            int beyond,
            int total,
            List<Integer> groups,
            List<DeskRow> rows) {}

    record InQueue(Queue queue, int people) {}

    /** The list with a page of those who are asked for. */
    @GetMapping
    DeskView see(@PathVariable String set, @Valid @ParameterObject DeskAsked asked) {
        Right right = sharing.require(set, Right.VIEW);
        long holds = told.last();
        SavedSet saved = sets.getInForce(set);
        audit.recordOnce(Act.LIST_READ, set);
        Desk.Page page = desk.page(set, asked);
        return new DeskView(
                saved.publishedName(),
                saved.json().path("purpose").asString(""),
                readings.latest(set).map(reading -> reading.asOf().toString()),
                criteria.settings(saved, seen.records().fields()),
                page.layout().show(),
                page.layout().top(),
                page.ordered(),
                page.part(),
                page.all(),
                page.mine(),
                right,
                outcomes.all(),
                manners.of(set),
                manners.revision(set),
                holds,
                page.counts().queues().entrySet().stream()
                        .map(one -> new InQueue(one.getKey(), one.getValue()))
                        .toList(),
                page.counts().bands(),
                page.counts().beyond(),
                page.total(),
                page.groups(),
                page.rows());
    }

    /** Somebody of whom something can be done with many at once. */
    record Marked(String person, int revision, Standing standing, boolean mine) {}

    /** Everybody who is asked for, whatever the page, in their order. */
    @GetMapping("/everybody")
    List<Marked> everybody(@PathVariable String set, @Valid @ParameterObject DeskAsked asked) {
        sharing.require(set, Right.VIEW);
        audit.recordOnce(Act.LIST_READ, set);
        String here = accounts.here().name();
        return desk.everybody(set, asked).stream()
                .map(place -> new Marked(
                        place.person(), place.entry().revision(), place.entry().standing(), place.isInHandOf(here)))
                .toList();
    }

    /** @param row nothing where nobody is to do and free */
    record NextToTake(Optional<DeskRow> row) {}

    /** The first who is to do and free, or one's own, from a place on and then from the beginning. */
    @GetMapping("/next")
    NextToTake next(
            @PathVariable String set,
            @Valid @ParameterObject DeskAsked asked,
            @RequestParam(defaultValue = "") @Size(max = 200) String current) {
        sharing.require(set, Right.WORK);
        audit.recordOnce(Act.LIST_READ, set);
        return new NextToTake(desk.nextToTake(set, asked, current));
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
