package dipstick.server.outreach.excused;

import dipstick.server.accounts.Accounts;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Who was excused, for others to tell. */
@Service
public class Excusals {
    private final ExcusalMapper excusals;
    private final Accounts accounts;

    Excusals(ExcusalMapper excusals, Accounts accounts) {
        this.excusals = excusals;
        this.accounts = accounts;
    }

    /** Those of a list who were excused after one day, up to another, and still were on that; each with why. */
    public Map<String, String> since(String set, LocalDate after, LocalDate through) {
        Map<String, String> words = new HashMap<>();
        excusals.ofSet(set).stream()
                .filter(one -> one.fromDay().isAfter(after) && !one.fromDay().isAfter(through))
                .filter(one -> one.holdsOn(through))
                .forEach(one -> words.put(one.person(), one.words(accounts.displayName(one.account()))));
        return words;
    }
}
