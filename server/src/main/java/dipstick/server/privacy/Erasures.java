package dipstick.server.privacy;

import dipstick.server.accounts.Accounts;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.personal.Erased;
import dipstick.server.personal.Erasure;
import dipstick.server.personal.PersonalData;
import dipstick.server.records.OtherNumbers;
import dipstick.server.records.Views;
import dipstick.server.web.PlainLetters;
import dipstick.server.web.Problems;
import java.util.Collection;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Erases people: all that is held of them goes at once, and a stub without a name keeps the counts of lists true. */
@Service
class Erasures {
    private static final int LETTERS = 12;

    private final List<PersonalData> parts;
    private final PersonReports reports;
    private final Accounts accounts;
    private final Erased erased;
    private final OtherNumbers otherNumbers;
    private final Views views;
    private final AuditLog audit;
    private final TransactionTemplate transaction;

    Erasures(
            List<PersonalData> parts,
            PersonReports reports,
            Accounts accounts,
            Erased erased,
            OtherNumbers otherNumbers,
            Views views,
            AuditLog audit,
            PlatformTransactionManager transactions) {
        // What is on file tells which other things are theirs, so it goes last.
        this.parts = parts.reversed();
        this.reports = reports;
        this.accounts = accounts;
        this.erased = erased;
        this.otherNumbers = otherNumbers;
        this.views = views;
        this.audit = audit;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** Refused where nothing is held of them, or whoever is signed in may not see them. */
    void erase(String person, Asked asked) {
        reports.requireMaySee(person);
        erase(List.of(person), asked, accounts.here().name());
    }

    /** @param by the account that does it */
    void erase(Collection<String> people, Asked asked, String by) {
        List<String> all = people.stream()
                .flatMap(person -> otherNumbers.allOf(person).stream())
                .distinct()
                .toList();
        for (String person : all) {
            transaction.executeWithoutResult(_ -> {
                String stub = replace(person, by);
                erased.keep(person, stub, by, asked.askedBy(), asked.why());
                audit.record(by, Act.PERSON_ERASED, stub + ", " + asked.words());
            });
        }
        views.show();
        // A reading that had begun before may have written somebody down again.
        all.stream()
                .filter(reports::isHeld)
                .forEach(person -> transaction.executeWithoutResult(_ -> replace(person, by)));
    }

    private String replace(String person, String by) {
        String stub = "erased-" + PlainLetters.random(LETTERS);
        parts.forEach(part -> part.erase(person, stub, by));
        return stub;
    }

    List<Erasure> latest() {
        return erased.latest();
    }

    @Transactional
    void letIn(long id) {
        if (!erased.letIn(id)) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND,
                    "no-such-erasure",
                    "Nobody is kept out by this any more. Nothing was changed.");
        }
        audit.record(Act.PERSON_LET_IN, "by erasure " + id);
    }
}
