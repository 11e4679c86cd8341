package dipstick.server.outreach.keeping;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Has people let go whom nobody has anything to do with any more. */
@Component
public class Holding {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final Sharing sharing;
    private final Accounts accounts;

    Holding(EntryMapper entries, ActMapper acts, Sharing sharing, Accounts accounts) {
        this.entries = entries;
        this.acts = acts;
        this.sharing = sharing;
        this.accounts = accounts;
    }

    /** Lets go of somebody who is open on no list that whoever has them in hand may work. */
    public void endUnlessNeeded(String person) {
        Optional<Colleague> holder = acts.hand(person).map(Hand::account).map(accounts::colleague);
        boolean needed = holder.isPresent()
                && entries.ofPerson(person).stream()
                        .filter(Entry::isOpen)
                        .anyMatch(
                                entry -> sharing.of(holder.get(), entry.setId()).includes(Right.WORK));
        if (holder.isPresent() && !needed) {
            acts.letGo(person);
        }
    }
}
