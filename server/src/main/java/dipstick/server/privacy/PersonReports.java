package dipstick.server.privacy;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.people.PeopleReader;
import dipstick.server.personal.PersonalData;
import dipstick.server.personal.PersonalData.Held;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import dipstick.server.records.FieldsOnFile;
import dipstick.server.records.OtherNumbers;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Gathers all that is held of a person. */
@Service
class PersonReports {
    private static final String PRIVATE = "(private to a colleague)";

    private final List<PersonalData> parts;
    private final FieldsOnFile fields;
    private final OtherNumbers otherNumbers;
    private final Sharing sharing;
    private final Accounts accounts;
    private final PracticeSettings practice;
    private final Today today;
    private final AuditLog audit;

    PersonReports(
            List<PersonalData> parts,
            FieldsOnFile fields,
            OtherNumbers otherNumbers,
            Sharing sharing,
            Accounts accounts,
            PracticeSettings practice,
            Today today,
            AuditLog audit) {
        this.parts = parts;
        this.fields = fields;
        this.otherNumbers = otherNumbers;
        this.sharing = sharing;
        this.accounts = accounts;
        this.practice = practice;
        this.today = today;
        this.audit = audit;
    }

    /** Of somebody on file, or of whom something is kept though they are not. */
    PersonReport of(String person, Asked asked) {
        requireMaySee(person);
        List<Held> held = otherNumbers.allOf(person).stream()
                .flatMap(number -> held(number).stream())
                .toList();
        Colleague here = accounts.here();
        audit.record(Act.PERSON_REPORTED, person + ", " + asked.words());
        return new PersonReport(
                person,
                practice.practice(),
                today.now().toString(),
                here.displayName(),
                asked,
                held.stream().map(this::withoutPrivateLists).toList());
    }

    /** Refused where nothing is held of them, or whoever is signed in sees other people only. */
    void requireMaySee(String person) {
        Map<String, String> onFile = fields.of(person);
        boolean mayBeSeen = onFile.isEmpty()
                ? !accounts.here().ownPeopleOnly()
                : accounts.here()
                        .maySeePeopleOf(
                                Optional.ofNullable(onFile.get("provider")).orElse(""));
        if (!mayBeSeen || !isHeld(person)) {
            throw PeopleReader.noSuchPerson();
        }
    }

    /** Whether something is held of them besides what shows who did what. */
    boolean isHeld(String person) {
        return parts.stream()
                .filter(part -> !part.outlivesErasure())
                .flatMap(part -> part.heldOf(person).stream())
                .anyMatch(held -> !held.rows().isEmpty());
    }

    private List<Held> held(String person) {
        return parts.stream()
                .flatMap(part -> part.heldOf(person).stream())
                .filter(held -> !held.rows().isEmpty())
                .toList();
    }

    /** Whoever may not see a list does not learn its name; what it says of the person is the person's. */
    private Held withoutPrivateLists(Held held) {
        int list = Math.max(held.columns().indexOf("list"), held.columns().indexOf("set"));
        return list < 0
                ? held
                : new Held(
                        held.title(),
                        held.columns(),
                        held.rows().stream()
                                .map(row -> withoutPrivate(row, list))
                                .toList());
    }

    private List<String> withoutPrivate(List<String> row, int list) {
        String set = row.get(list);
        if (set.isEmpty() || sharing.here(set).includes(Right.VIEW)) {
            return row;
        }
        List<String> shown = new ArrayList<>(row);
        shown.set(list, PRIVATE);
        return shown;
    }
}
