package dipstick.server.prompts;

import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.OpenPlace;
import dipstick.server.outreach.OpenPlaces;
import dipstick.server.outreach.attempts.Outcomes;
import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.people.PeopleReader;
import dipstick.server.people.PeopleSearch;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.records.OtherNumbers;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who rings or walks in: found among the people of the lists that whoever asks works, with what is due of them. */
@RestController
@RequestMapping("/api/who")
class WhoRingsController {
    private final OpenPlaces places;
    private final Prompts prompts;
    private final PromptRules rules;
    private final Dismissals dismissals;
    private final Outcomes outcomes;
    private final Views views;
    private final OtherNumbers numbers;
    private final Sharing sharing;
    private final Accounts accounts;
    private final PracticeSettings practice;
    private final AuditLog audit;
    private final Today today;

    WhoRingsController(
            OpenPlaces places,
            Prompts prompts,
            PromptRules rules,
            Dismissals dismissals,
            Outcomes outcomes,
            Views views,
            OtherNumbers numbers,
            Sharing sharing,
            Accounts accounts,
            PracticeSettings practice,
            AuditLog audit,
            Today today) {
        this.places = places;
        this.prompts = prompts;
        this.rules = rules;
        this.dismissals = dismissals;
        this.outcomes = outcomes;
        this.views = views;
        this.numbers = numbers;
        this.sharing = sharing;
        this.accounts = accounts;
        this.practice = practice;
        this.audit = audit;
        this.today = today;
    }

    /**
     * A list that somebody is on.
     *
     * @param say what may be said to them; empty where the coordinator wrote nothing
     * @param dismissed until when and why nobody is to be told of them; nothing where nobody said so
     * @param dismissal by which that is ended
     */
    record DueOn(OpenPlace place, String say, Optional<String> dismissed, Optional<Long> dismissal) {}

    /**
     * Somebody who rings or walks in.
     *
     * @param lists what is due, by list
     * @param outcomes what can come of a talk with them, as it is offered at the desk
     */
    record WhoRings(PersonLine person, List<DueOn> lists, List<AttemptOutcome> outcomes) {}

    /** People of lists that whoever asks may work, found as everybody is under People. */
    @GetMapping
    PeopleSearch.Found find(@RequestParam(defaultValue = "") @Size(max = 200) String find) {
        Colleague who = accounts.here();
        Population records = views.current().population();
        Set<String> listed = places.at(this::mayWork, who.name()).people();
        PeopleSearch.Found found = new PeopleSearch(records, practice.dayFirst())
                .find(
                        numbers.goesOnAs(find.strip()),
                        today.day(),
                        person -> listed.contains(records.idOf(person))
                                && who.maySeePeopleOf(PersonLine.text(records, person, "provider")));
        audit.record(Act.PEOPLE_LISTED, "of own lists, found by “" + find + "”");
        return found;
    }

    @GetMapping("/{person}")
    WhoRings whoRings(@PathVariable("person") String named) {
        PersonLine person = seen(named);
        List<OpenPlace> open = places.at(this::mayWork, accounts.here().name()).of(person.id(), today.day());
        if (open.isEmpty()) {
            throw PeopleReader.noSuchPerson();
        }
        audit.record(Act.PERSON_READ, person.id() + ", what is due");
        List<Dismissal> dismissed = dismissals.of(person.id());
        return new WhoRings(
                person,
                open.stream().map(place -> dueOn(place, dismissed)).toList(),
                outcomes.all().stream().filter(AttemptOutcome::inUse).toList());
    }

    private DueOn dueOn(OpenPlace place, List<Dismissal> dismissed) {
        Optional<Dismissal> here = dismissed.stream()
                .filter(one -> one.setId().equals(place.set()))
                .findFirst();
        return new DueOn(
                place,
                rules.of(place.set()).sentence(),
                here.map(one -> one.words(accounts.displayName(one.account()))),
                here.map(Dismissal::id));
    }

    /** What whoever opens somebody in Dipstick is told of them; nothing of lists that they may not see. */
    @GetMapping("/{person}/prompts")
    List<Prompt> prompts(@PathVariable("person") String named) {
        PersonLine person = seen(named);
        List<Prompt> told = prompts.of(
                person.id(),
                Moment.OPENED,
                list -> sharing.here(list).includes(Right.VIEW),
                accounts.here().name(),
                today.day());
        if (!told.isEmpty()) {
            audit.recordOnce(Act.PERSON_READ, person.id() + ", prompts");
        }
        return told;
    }

    private PersonLine seen(String named) {
        Population records = views.current().population();
        int person = PeopleReader.numberOf(numbers.goesOnAs(named), records);
        PersonLine line = PersonLine.of(records, person, today.day());
        if (!accounts.here().maySeePeopleOf(line.provider())) {
            throw PeopleReader.noSuchPerson();
        }
        return line;
    }

    private boolean mayWork(String list) {
        return sharing.here(list).includes(Right.WORK);
    }
}
