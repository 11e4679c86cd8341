package dipstick.server.outreach.day;

import dipstick.server.outreach.attempts.Outcomes;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;

/** What was done on a list, to be counted. */
@Service
public class Tallies {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final Outcomes outcomes;

    Tallies(EntryMapper entries, ActMapper acts, Outcomes outcomes) {
        this.entries = entries;
        this.acts = acts;
        this.outcomes = outcomes;
    }

    /** @param month as 2026-11 */
    public record Attempts(String person, String month, String outcome, int attempts) {}

    /**
     * Somebody's way on a list.
     *
     * @param open whether something is still to be done
     * @param done whether what should be on record came to be so; then {@code changedOn} is the day of the reading
     */
    public record Way(String person, LocalDate joinedOn, LocalDate changedOn, boolean open, boolean done) {}

    /** Attempts with each person, by outcome and month, the first month first. */
    public List<Attempts> attempts(String set) {
        var known = outcomes.byId();
        return acts.attempts(set).stream()
                .map(one -> new Attempts(
                        one.person(),
                        one.monthOf(),
                        known.containsKey(one.outcome())
                                ? known.get(one.outcome()).name()
                                : one.outcome(),
                        one.attempts()))
                .toList();
    }

    public List<Way> ways(String set) {
        return entries.ofSet(set).stream()
                .map(entry -> new Way(
                        entry.person(),
                        entry.joinedOn(),
                        entry.changedOn(),
                        entry.isOpen(),
                        entry.state() == Entry.State.DONE))
                .toList();
    }
}
