package dipstick.server.outreach;

import static dipstick.server.outreach.plan.Standing.ON;

import dipstick.core.population.Population;
import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.excused.Excusal;
import dipstick.server.outreach.excused.ExcusalMapper;
import dipstick.server.outreach.plan.HeldBack;
import dipstick.server.outreach.seen.SeenPeople;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Who is to be contacted on a list, as it is told to a colleague who is not looking at it. */
@Service
public class ListedNow {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final ExcusalMapper excusals;
    private final Manners manners;
    private final SeenPeople seen;
    private final Reasons reasons;
    private final CriteriaSets sets;
    private final Today today;

    ListedNow(
            EntryMapper entries,
            ActMapper acts,
            ExcusalMapper excusals,
            Manners manners,
            SeenPeople seen,
            Reasons reasons,
            CriteriaSets sets,
            Today today) {
        this.entries = entries;
        this.acts = acts;
        this.excusals = excusals;
        this.manners = manners;
        this.seen = seen;
        this.reasons = reasons;
        this.sets = sets;
        this.today = today;
    }

    /**
     * Somebody on a list.
     *
     * @param due a date, "never", or empty
     */
    public record OnList(PersonLine person, String due, String band) {}

    /**
     * Those on a list whom a colleague may see.
     *
     * @param people to be contacted, by name
     * @param keptBack how many more are excused or held back
     */
    public record Standing(List<OnList> people, int keptBack) {}

    public Standing of(String set, Colleague who) {
        LocalDate day = today.day();
        Population records = seen.records();
        Map<String, LocalDate> reached = new HashMap<>();
        acts.lastReached(set).forEach(one -> reached.put(one.person(), one.onDay()));
        HeldBack heldBack = new HeldBack(manners.of(set).hold(), records, day, reached);
        Set<String> excused = excusals.ofSet(set).stream()
                .filter(one -> one.holds(set, day))
                .map(Excusal::person)
                .collect(Collectors.toSet());
        List<Entry> mine = entries.ofSet(set).stream()
                .filter(entry -> entry.isOpen() && entry.standing() == ON)
                .filter(entry -> seen.maySee(who, entry.person()))
                .toList();
        List<OnList> people = mine.stream()
                .filter(entry -> !excused.contains(entry.person())
                        && heldBack.why(entry.person()).isEmpty())
                .map(entry -> new OnList(PersonLine.of(records, entry.person(), day), entry.dueOn(), entry.band()))
                .sorted((one, other) -> PersonLine.BY_NAME.compare(one.person(), other.person()))
                .toList();
        return new Standing(people, mine.size() - people.size());
    }

    /** The sentence that decides it, by the records of now. */
    public String why(String set, String person) {
        return reasons.why(sets.getInForce(set), person);
    }

    /** By which it is told later who came to be on a list since. */
    public long mark() {
        return acts.lastId();
    }

    /** The same as it was at a time. */
    public long markAt(Instant at) {
        return acts.lastIdAt(at);
    }

    /** Those who came to be on a list since a mark, whether or not they still are. */
    public Set<String> joinedSince(String set, long mark) {
        return new HashSet<>(acts.joinedAfter(set, mark));
    }
}
