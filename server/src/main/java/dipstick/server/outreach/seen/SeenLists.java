package dipstick.server.outreach.seen;

import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.sharing.Sharing;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The lists of sets in force that a colleague may see. */
@Component
public class SeenLists {
    private final CriteriaSets sets;
    private final Sharing sharing;

    SeenLists(CriteriaSets sets, Sharing sharing) {
        this.sets = sets;
        this.sharing = sharing;
    }

    /** By their ids. */
    public Map<String, SavedSet> of(Colleague who) {
        Sharing.Seen seen = sharing.seenBy(who);
        Map<String, SavedSet> lists = new LinkedHashMap<>();
        sets.inForce().stream().filter(set -> seen.includes(set.id())).forEach(set -> lists.put(set.id(), set));
        return lists;
    }
}
