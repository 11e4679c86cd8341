package dipstick.server.outreach.desk;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.seen.SeenPeople;
import dipstick.server.practice.Spans;
import dipstick.server.practice.Today;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** How far colleagues are with each list, as it is told to whoever does not look at its desk. */
@Service
public class ListsAtWork {
    private final EntryMapper entries;
    private final DeskBooks books;
    private final SeenPeople seen;
    private final Manners manners;
    private final Accounts accounts;
    private final Today today;

    ListsAtWork(
            EntryMapper entries, DeskBooks books, SeenPeople seen, Manners manners, Accounts accounts, Today today) {
        this.entries = entries;
        this.books = books;
        this.seen = seen;
        this.manners = manners;
        this.accounts = accounts;
        this.today = today;
    }

    /** @param people of a list whom a colleague has in hand: as many as are in the pile that is theirs at its desk */
    public record InHandOf(String colleague, int people) {}

    /** Who works each list, whoever has most in hand first; by the id of the list, those that nobody works left out. */
    public Map<String, List<InHandOf>> inHand() {
        return entries.inHandByList().stream()
                .collect(Collectors.groupingBy(
                        EntryMapper.InHandOfList::setId,
                        Collectors.collectingAndThen(
                                Collectors.mapping(
                                        one -> new InHandOf(accounts.displayName(one.account()), one.people()),
                                        Collectors.toList()),
                                all -> all.stream()
                                        .sorted(Comparator.comparingInt(InHandOf::people)
                                                .reversed()
                                                .thenComparing(InHandOf::colleague))
                                        .toList())));
    }

    /** The coverage that each list is meant to reach, in percent; by the id of the list, without those that have none. */
    public Map<String, Integer> targets() {
        return manners.targets();
    }

    /** Has a list be meant to reach a coverage, in percent. */
    public void aim(String list, int target) {
        manners.save(list, manners.of(list).withTarget(target), manners.revision(list));
    }

    /**
     * How many joined a list in the last seven days and are on it, of those whom a colleague may see. Nobody waits here for
     * a long list to be read as a whole.
     */
    public int joined(String list, Colleague who) {
        List<String> joined = books.isRead(list)
                ? books.of(list).joined().stream().map(Place::person).toList()
                : entries.joinedAfter(list, today.day().minusDays(Spans.JOINED));
        return who.ownPeopleOnly()
                ? (int) joined.stream()
                        .filter(person -> seen.maySee(who, person))
                        .count()
                : joined.size();
    }
}
