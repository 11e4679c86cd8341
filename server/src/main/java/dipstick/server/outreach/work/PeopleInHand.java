package dipstick.server.outreach.work;

import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.Holdings;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.together.ListsTouched;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The people whom somebody has in hand, when a colleague takes over. */
@Component
class PeopleInHand implements Holdings {
    private final ActMapper acts;
    private final EntryMapper entries;
    private final Sharing sharing;
    private final Today today;
    private final ApplicationEventPublisher events;

    PeopleInHand(ActMapper acts, EntryMapper entries, Sharing sharing, Today today, ApplicationEventPublisher events) {
        this.acts = acts;
        this.entries = entries;
        this.sharing = sharing;
        this.today = today;
        this.events = events;
    }

    @Override
    public Optional<String> heldBy(String account) {
        int people = acts.handsOf(account).size();
        return people == 0 ? Optional.empty() : Optional.of(people == 1 ? "1 person" : people + " people");
    }

    /** Those on lists that the colleague may not work are nobody’s from then on. */
    @Override
    @Transactional
    public Optional<String> handOver(Colleague from, Colleague to) {
        int nobodys = 0;
        String batch = UUID.randomUUID().toString();
        for (Hand hand : acts.handsOf(from.name())) {
            List<Entry> open = entries.ofPerson(hand.person()).stream()
                    .filter(Entry::isOpen)
                    .toList();
            Optional<Entry> workable = open.stream()
                    .filter(entry -> sharing.of(to, entry.setId()).includes(Right.WORK))
                    .findFirst();
            if (workable.isPresent()) {
                acts.take(new Hand(hand.person(), to.name(), today.now()));
            } else {
                acts.letGo(hand.person());
                nobodys++;
            }
            // Told on a list that whoever goes worked, where colleagues of theirs read it.
            workable.or(() -> open.stream()
                            .filter(entry -> sharing.of(from, entry.setId()).includes(Right.WORK))
                            .findFirst())
                    .or(() -> open.stream().findFirst())
                    .ifPresent(entry -> acts.insert(new DeskAct(
                            0,
                            batch,
                            entry.setId(),
                            hand.person(),
                            from.name(),
                            today.now(),
                            today.day(),
                            DeskAct.Kind.HANDED_OVER,
                            "",
                            workable.isPresent()
                                    ? "to " + to.displayName()
                                    : to.displayName() + " may not work this list, so they are nobody’s",
                            from.name(),
                            false)));
            events.publishEvent(ListsTouched.worked(
                    open.stream().map(Entry::setId).collect(Collectors.toSet()),
                    Set.of(hand.person()),
                    Set.of(from.name(), to.name()),
                    false));
        }
        return nobodys == 0
                ? Optional.empty()
                : Optional.of((nobodys == 1 ? "1 person is" : nobodys + " people are") + " nobody’s now: "
                        + to.displayName() + " may not work their lists.");
    }
}
