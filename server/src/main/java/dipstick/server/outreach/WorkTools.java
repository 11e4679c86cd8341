package dipstick.server.outreach;

import dipstick.server.accounts.Accounts;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Sharing;
import org.springframework.stereotype.Component;

/** What work at a desk is done with. */
@Component
record WorkTools(
        EntryMapper entries,
        ActMapper acts,
        ExcusalMapper excusals,
        Holding holding,
        Manners manners,
        Outcomes outcomes,
        Attempts attempts,
        CriteriaSets sets,
        Sharing sharing,
        Accounts accounts,
        SeenPeople seen,
        LastAct last,
        Today today) {}
