package dipstick.server.outreach.work;

import dipstick.server.accounts.Accounts;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.practice.Today;
import org.springframework.stereotype.Component;

/** Says who went on with somebody last, and when. */
@Component
class LastAct {
    private final ActMapper acts;
    private final Accounts accounts;
    private final Today today;

    LastAct(ActMapper acts, Accounts accounts, Today today) {
        this.acts = acts;
        this.accounts = accounts;
        this.today = today;
    }

    /** Such as “Tam Birchall, 10:15”; empty where nothing was done. */
    String words(String person) {
        return acts.ofPerson(person).stream()
                .filter(act -> !act.undone())
                .findFirst()
                .map(act -> (act.account().isEmpty() ? "the list was read" : accounts.displayName(act.account())) + ", "
                        + today.timeOf(act.at()))
                .orElse("");
    }
}
