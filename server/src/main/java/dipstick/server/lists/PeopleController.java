package dipstick.server.lists;

import dipstick.core.Outcome;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Verdict;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.people.PeopleReader;
import dipstick.server.people.PeopleSearch;
import dipstick.server.people.PersonLine;
import dipstick.server.people.PersonView;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.readings.ListCriteria;
import dipstick.server.records.OtherNumbers;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Anybody on record: found by typing, and on which lists they are and why. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    private final CriteriaSets sets;
    private final ListCriteria criteria;
    private final Evaluators evaluators;
    private final PeopleReader people;
    private final OtherNumbers numbers;
    private final Sharing sharing;
    private final Accounts accounts;
    private final PracticeSettings practice;
    private final AuditLog audit;

    PeopleController(
            CriteriaSets sets,
            ListCriteria criteria,
            Evaluators evaluators,
            PeopleReader people,
            OtherNumbers numbers,
            Sharing sharing,
            Accounts accounts,
            PracticeSettings practice,
            AuditLog audit) {
        this.sets = sets;
        this.criteria = criteria;
        this.numbers = numbers;
        this.sharing = sharing;
        this.accounts = accounts;
        this.evaluators = evaluators;
        this.people = people;
        this.practice = practice;
        this.audit = audit;
    }

    /**
     * Where somebody stands by one saved set.
     *
     * @param due given only where they are or may be eligible
     * @param list whether they are on its list; nothing where they are not in its population or it cannot be evaluated
     * @param why the sentence that decides it
     */
    record Standing(String set, String name, Optional<Outcome> list, String due, String why) {}

    @GetMapping
    PeopleSearch.Found find(@RequestParam(defaultValue = "") @Size(max = 200) String find) {
        Colleague who = accounts.here();
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        PeopleSearch.Found found = new PeopleSearch(evaluator.population(), practice.dayFirst())
                .find(
                        numbers.goesOnAs(find.strip()),
                        evaluator.asOf(),
                        person -> who.maySeePeopleOf(PersonLine.text(evaluator.population(), person, "provider")));
        audit.record(Act.PEOPLE_LISTED, "found by “" + find + "”");
        return found;
    }

    /** Somebody's fields and records, whatever sets there are. */
    @GetMapping("/{person}")
    PersonView record(@PathVariable String person) {
        return people.record(person, evaluators.asOf(Optional.empty()));
    }

    @GetMapping("/{person}/standing")
    List<Standing> standing(@PathVariable("person") String named) {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        String person = numbers.goesOnAs(named);
        int number = PeopleReader.numberOf(person, evaluator.population());
        people.requireMaySee(number, evaluator.population());
        audit.record(Act.PERSON_READ, person);
        return sets.inForce().stream()
                .filter(set -> sharing.here(set.id()).includes(Right.VIEW))
                .map(set -> standing(set, evaluator, number))
                .toList();
    }

    private Standing standing(SavedSet saved, Evaluator evaluator, int person) {
        try {
            Reading reading =
                    evaluator.read(criteria.of(saved, evaluator.population().fields()));
            Optional<Outcome> list =
                    reading.people().get(person) ? Optional.of(reading.list().of(person)) : Optional.empty();
            return new Standing(
                    saved.id(),
                    saved.publishedName(),
                    list,
                    PeopleReader.due(evaluator, reading, person),
                    Verdict.of(evaluator, reading, person));
        } catch (InvalidCriteria invalid) {
            return new Standing(saved.id(), saved.publishedName(), Optional.empty(), "", ListController.WRONG);
        }
    }
}
