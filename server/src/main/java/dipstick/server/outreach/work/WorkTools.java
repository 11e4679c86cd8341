package dipstick.server.outreach.work;

import dipstick.server.accounts.Accounts;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.attempts.Attempts;
import dipstick.server.outreach.attempts.Outcomes;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.excused.ExcusalMapper;
import dipstick.server.outreach.keeping.Holding;
import dipstick.server.outreach.seen.SeenPeople;
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
