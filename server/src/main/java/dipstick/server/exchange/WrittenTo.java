package dipstick.server.exchange;

import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.outreach.ContactSteps;
import dipstick.server.practice.Today;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Remembers what was written to whom, so that the same does not go again before the contact plan's next step is due. */
@Service
class WrittenTo {
    private final ExchangeMapper kept;
    private final ContactSteps steps;
    private final Accounts accounts;
    private final Today today;

    WrittenTo(ExchangeMapper kept, ContactSteps steps, Accounts accounts, Today today) {
        this.kept = kept;
        this.steps = steps;
        this.accounts = accounts;
        this.today = today;
    }

    /** What can be written. */
    enum What {
        LETTER,
        LABEL,
        EMAIL,
        /** On paper for staff: nothing goes to anybody. */
        CALL;

        /** Whether it has a text. */
        boolean isWritten() {
            return this == LETTER || this == EMAIL;
        }
    }

    record Row(String setId, String person, String what, String template, LocalDate onDay, String account) {}

    /** Of each person to whom the same went within the plan's step, when and by whom, in a sentence. */
    Map<String, String> lately(String set, What what, String template) {
        LocalDate since = today.day().minusDays(steps.daysAfterWriting(set));
        Map<String, String> lately = new HashMap<>();
        kept.writtenSince(set, what.name(), template, since)
                .forEach(row -> lately.put(
                        row.person(),
                        "The same was written to them on " + DayWords.day(row.onDay()) + " by "
                                + accounts.displayName(row.account()) + "."));
        return lately;
    }

    @Transactional
    void record(String set, What what, String template, Collection<String> people) {
        people.forEach(person -> kept.insertWritten(new Row(
                set, person, what.name(), template, today.day(), accounts.here().name())));
    }
}
