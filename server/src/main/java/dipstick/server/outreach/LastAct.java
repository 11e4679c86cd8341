package dipstick.server.outreach;

import dipstick.server.accounts.Accounts;
import dipstick.server.practice.Today;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import org.springframework.stereotype.Component;

/** Says who went on with somebody last, and when. */
@Component
class LastAct {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm");

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
                        + time(act.at()))
                .orElse("");
    }

    /** The time of day in the practice's zone. */
    String time(Instant at) {
        return at.atZone(today.zone()).format(TIME);
    }
}
