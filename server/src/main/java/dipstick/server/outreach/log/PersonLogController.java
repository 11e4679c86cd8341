package dipstick.server.outreach.log;

import dipstick.core.population.Population;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.outreach.seen.SeenPeople;
import dipstick.server.people.PeopleReader;
import dipstick.server.records.OtherNumbers;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What was done about anybody on record, for those who may look anybody up. */
@RestController
class PersonLogController {
    private final PersonLogs logs;
    private final PeopleReader people;
    private final SeenPeople seen;
    private final OtherNumbers numbers;
    private final AuditLog audit;

    PersonLogController(PersonLogs logs, PeopleReader people, SeenPeople seen, OtherNumbers numbers, AuditLog audit) {
        this.logs = logs;
        this.people = people;
        this.seen = seen;
        this.numbers = numbers;
        this.audit = audit;
    }

    @GetMapping("/api/people/{person}/log")
    PersonLog log(@PathVariable("person") String named) {
        String person = numbers.goesOnAs(named);
        Population records = seen.records();
        people.requireMaySee(PeopleReader.numberOf(person, records), records);
        audit.recordOnce(Act.PERSON_READ, person + ", log");
        return logs.of(person);
    }
}
