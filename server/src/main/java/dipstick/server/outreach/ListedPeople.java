package dipstick.server.outreach;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Duty;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.seen.SeenPeople;
import dipstick.server.web.Problems;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Who may be looked up through a list: whoever is or was on it, and for those who may see anybody, anybody. */
@Service
public class ListedPeople {
    private final EntryMapper entries;
    private final SeenPeople seen;
    private final Accounts accounts;

    ListedPeople(EntryMapper entries, SeenPeople seen, Accounts accounts) {
        this.seen = seen;
        this.entries = entries;
        this.accounts = accounts;
    }

    /**
     * Refuses somebody whom whoever is signed in may not see, or may see on the list alone and who is not on it.
     *
     * @param onItToday whether they are on the list as of the day that is looked at
     */
    public void requireListed(String set, String person, boolean onItToday) {
        seen.requireMaySee(person);
        if (!accounts.here().has(Duty.SEE_PEOPLE)
                && !onItToday
                && entries.find(set, person).isEmpty()) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND, "not-on-this-list", "This person is not on this list, and never was.");
        }
    }
}
