package dipstick.server.exchange;

import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.practice.Today;
import org.springframework.stereotype.Component;

/** The line that everything that is taken out of the house ends with: what it is, who took it out, when and why. */
@Component
public class ExportFooter {
    private final Accounts accounts;
    private final Today today;

    ExportFooter(Accounts accounts, Today today) {
        this.accounts = accounts;
        this.today = today;
    }

    /** @param reason may be blank where no contact details go out */
    public String of(String list, String reason) {
        String when = DayWords.day(today.day()) + ", " + today.timeOf(today.now());
        String why = reason.isBlank() ? "" : " · " + reason.strip();
        return list + " · " + accounts.here().displayName() + " · " + when + why;
    }
}
