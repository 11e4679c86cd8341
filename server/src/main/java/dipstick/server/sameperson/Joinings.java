package dipstick.server.sameperson;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.people.PeopleReader;
import dipstick.server.personal.FollowsPerson;
import dipstick.server.personal.FollowsPerson.Joining;
import dipstick.server.practice.Today;
import dipstick.server.records.OtherNumbers;
import dipstick.server.records.TakingTurns;
import dipstick.server.records.Views;
import dipstick.server.sameperson.JoiningMapper.Joined;
import dipstick.server.sameperson.JoiningMapper.ToldApart;
import dipstick.server.web.Problems;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Joins two people who are one, tells apart two who are not, and undoes either. */
@Service
class Joinings {
    private final JoiningMapper joinings;
    private final List<FollowsPerson> parts;
    private final OtherNumbers numbers;
    private final Pairs pairs;
    private final TakingTurns turns;
    private final Views views;
    private final Today today;
    private final AuditLog audit;
    private final TransactionTemplate transaction;

    Joinings(
            JoiningMapper joinings,
            List<FollowsPerson> parts,
            OtherNumbers numbers,
            Pairs pairs,
            TakingTurns turns,
            Views views,
            Today today,
            AuditLog audit,
            PlatformTransactionManager transactions) {
        this.joinings = joinings;
        this.parts = List.copyOf(parts);
        this.numbers = numbers;
        this.pairs = pairs;
        this.turns = turns;
        this.views = views;
        this.today = today;
        this.audit = audit;
        this.transaction = new TransactionTemplate(transactions);
    }

    /**
     * Everything that is held of the other number follows to the person, and both numbers lead to them.
     *
     * @param by the account that does it
     */
    void join(String person, String other, String by) {
        requireTwo(person, other);
        pairs.requireMaySee(person, other);
        turns.joining(() -> transaction.execute(_ -> {
            long id = joinings.insert(person, other, today.now(), by);
            parts.forEach(part -> part.join(new Joining(id, person, other)));
            audit.record(Act.PEOPLE_JOINED, other + " goes on as " + person);
            return id;
        }));
        views.show();
    }

    void undo(long id, String by) {
        turns.joining(() -> transaction.execute(_ -> {
            Joined joined = joinings.find(id)
                    .orElseThrow(() -> Problems.refused(
                            HttpStatus.NOT_FOUND,
                            "no-such-joining",
                            "These two are not joined any more. Nothing was changed."));
            if (!pairs.maySee(joined.person(), joined.person())) {
                throw PeopleReader.noSuchPerson();
            }
            String goesOnAs = numbers.goesOnAs(joined.person());
            if (!goesOnAs.equals(joined.person())) {
                throw Problems.refused(
                        HttpStatus.CONFLICT,
                        "joined-further",
                        joined.person() + " was joined to " + goesOnAs
                                + " since. Undo that first. Nothing was changed.");
            }
            joinings.undo(id, today.now(), by);
            parts.forEach(part -> part.part(new Joining(id, joined.person(), joined.other())));
            joinings.forgetRows(id);
            audit.record(Act.PEOPLE_PARTED, joined.other() + " is not " + joined.person() + " any more");
            return id;
        }));
        views.show();
    }

    List<Joined> all() {
        return joinings.all();
    }

    List<ToldApart> allApart() {
        return joinings.allApart();
    }

    @Transactional
    public void tellApart(String number, String another, String by) {
        requireTwo(number, another);
        pairs.requireMaySee(number, another);
        Pairs.Two two = Pairs.Two.of(number, another);
        if (!joinings.areApart(two.one(), two.other())) {
            joinings.tellApart(two.one(), two.other(), today.now(), by);
            audit.record(Act.PEOPLE_TOLD_APART, two.one() + ", " + two.other());
        }
    }

    @Transactional
    public void forgetApart(long id) {
        if (joinings.forgetApart(id) == 0) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND,
                    "not-told-apart",
                    "These two are not told apart any more. Nothing was changed.");
        }
        audit.record(Act.PEOPLE_TOLD_APART, "undone, " + id);
    }

    private static void requireTwo(String person, String other) {
        if (person.equals(other)) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT, "one-number", "These are not two numbers. Nothing was changed.");
        }
    }
}
