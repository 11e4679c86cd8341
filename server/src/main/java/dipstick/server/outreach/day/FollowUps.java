package dipstick.server.outreach.day;

import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Wording;
import dipstick.server.outreach.plan.Step;
import dipstick.server.outreach.seen.SeenLists;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** What colleagues have to do next about those whom they have in hand. */
@Service
public class FollowUps {
    private final EntryMapper entries;
    private final SeenLists lists;

    FollowUps(EntryMapper entries, SeenLists lists) {
        this.entries = entries;
        this.lists = lists;
    }

    public record FollowUp(String person, String set, String list, Step step, LocalDate on) {
        /** What is to be done, in words. */
        public String what() {
            return Wording.step(step);
        }
    }

    public List<FollowUp> of(Colleague colleague) {
        return of(colleague, lists.of(colleague));
    }

    /** @param lists by their ids, those that the colleague may see */
    List<FollowUp> of(Colleague colleague, Map<String, SavedSet> lists) {
        return entries.plannedInHandOf(colleague.name()).stream()
                .filter(entry -> lists.containsKey(entry.setId()))
                .map(entry -> new FollowUp(
                        entry.person(),
                        entry.setId(),
                        lists.get(entry.setId()).publishedName(),
                        entry.nextStep(),
                        LocalDate.parse(entry.nextOn())))
                .toList();
    }
}
