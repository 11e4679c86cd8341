package dipstick.server.outreach;

import dipstick.core.population.Population;
import dipstick.server.accounts.Colleague;
import dipstick.server.people.PersonLine;
import dipstick.server.records.Views;
import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** The people of lists as the records have them now; somebody who is not on file any more keeps their id. */
@Component
class SeenPeople {
    private final Views views;

    SeenPeople(Views views) {
        this.views = views;
    }

    Population records() {
        return views.current().population();
    }

    boolean maySee(Colleague who, String person) {
        return who.maySeePeopleOf(
                PersonLine.of(records(), person, LocalDate.EPOCH).provider());
    }
}
