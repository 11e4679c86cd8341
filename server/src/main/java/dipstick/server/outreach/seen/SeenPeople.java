package dipstick.server.outreach.seen;

import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.people.PeopleReader;
import dipstick.server.people.PersonLine;
import dipstick.server.records.Views;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** The people of lists as the records have them now; somebody who is not on file any more keeps their id. */
@Component
public class SeenPeople {
    private final Views views;
    private final Accounts accounts;

    SeenPeople(Views views, Accounts accounts) {
        this.views = views;
        this.accounts = accounts;
    }

    public Population records() {
        return views.current().population();
    }

    /** Somebody who went off file is there to whoever sees everybody. */
    public void requireMaySee(String person) {
        if (!maySee(accounts.here(), person)) {
            throw PeopleReader.noSuchPerson();
        }
    }

    public boolean maySee(Colleague who, String person) {
        return who.maySeePeopleOf(
                PersonLine.of(records(), person, LocalDate.EPOCH).provider());
    }
}
