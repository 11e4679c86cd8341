package dipstick.server.outreach;

import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;

/** What colleagues have to do next about those whom they have in hand. */
@Service
public class FollowUps {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final CriteriaSets sets;
    private final Sharing sharing;

    FollowUps(EntryMapper entries, ActMapper acts, CriteriaSets sets, Sharing sharing) {
        this.entries = entries;
        this.acts = acts;
        this.sets = sets;
        this.sharing = sharing;
    }

    public record FollowUp(String person, String set, String list, Step step, LocalDate on) {
        /** What is to be done, in words. */
        public String what() {
            return Wording.step(step);
        }
    }

    public List<FollowUp> of(Colleague colleague) {
        return acts.handsOf(colleague.name()).stream()
                .flatMap(hand -> entries.ofPerson(hand.person()).stream())
                .filter(entry -> entry.isOpen() && !entry.nextOn().isEmpty())
                .filter(entry -> sets.get(entry.setId()).isInForce())
                .filter(entry -> sharing.of(colleague, entry.setId()).includes(Right.VIEW))
                .map(entry -> new FollowUp(
                        entry.person(),
                        entry.setId(),
                        sets.get(entry.setId()).publishedName(),
                        entry.nextStep(),
                        LocalDate.parse(entry.nextOn())))
                .toList();
    }
}
