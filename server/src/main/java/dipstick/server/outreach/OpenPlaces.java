package dipstick.server.outreach;

import dipstick.core.Outcome;
import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.excused.Excusal;
import dipstick.server.outreach.excused.ExcusalMapper;
import dipstick.server.outreach.plan.HeldBack;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.outreach.seen.SeenPeople;
import dipstick.server.practice.Today;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** On which lists something is to be done about people, for others to tell. */
@Service
public class OpenPlaces {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final ExcusalMapper excusals;
    private final Manners manners;
    private final Reasons reasons;
    private final CriteriaSets sets;
    private final SeenPeople seen;
    private final Accounts accounts;
    private final Today today;

    OpenPlaces(
            EntryMapper entries,
            ActMapper acts,
            ExcusalMapper excusals,
            Manners manners,
            Reasons reasons,
            CriteriaSets sets,
            SeenPeople seen,
            Accounts accounts,
            Today today) {
        this.entries = entries;
        this.acts = acts;
        this.excusals = excusals;
        this.manners = manners;
        this.reasons = reasons;
        this.sets = sets;
        this.seen = seen;
        this.accounts = accounts;
        this.today = today;
    }

    /**
     * Looks at some lists as they are now.
     *
     * @param lists which of them, by id
     * @param asks the account that is told
     */
    public Look at(Predicate<String> lists, String asks) {
        return new Look(
                sets.inForce().stream()
                        .filter(set -> lists.test(set.id()))
                        .collect(Collectors.toMap(SavedSet::id, Function.identity())),
                asks);
    }

    /** Some lists as they were when they were looked at. */
    public final class Look {
        private final Map<String, SavedSet> lists;
        private final String asks;

        private Look(Map<String, SavedSet> lists, String asks) {
            this.lists = lists;
            this.asks = asks;
        }

        /** Everybody about whom something is to be done on one of them. */
        public Set<String> people() {
            return entries.open().stream()
                    .filter(entry -> lists.containsKey(entry.setId()))
                    .map(Entry::person)
                    .collect(Collectors.toSet());
        }

        /**
         * The places of somebody, by the id of the list; without those that the records of now give them no more, as of
         * who had it done since the last reading.
         *
         * @param comes the day on which they are at the practice: an appointment on it, or before, does not hold them back
         */
        public List<OpenPlace> of(String person, LocalDate comes) {
            List<Entry> open = entries.ofPerson(person).stream()
                    .filter(entry -> entry.isOpen() && lists.containsKey(entry.setId()))
                    .toList();
            if (open.isEmpty()) {
                return List.of();
            }
            Person one = new Person(person, asks, comes);
            return open.stream()
                    .flatMap(entry -> one.place(entry, Objects.requireNonNull(lists.get(entry.setId()))).stream())
                    .toList();
        }
    }

    /** What is known of one person, read at once. */
    private final class Person {
        private final String id;
        private final LocalDate comes;
        private final Population records = seen.records();
        private final List<Excusal> excused;
        private final Optional<String> inHandOf;

        Person(String id, String asks, LocalDate comes) {
            this.id = id;
            this.comes = comes;
            this.excused = excusals.ofPerson(id);
            this.inHandOf = acts.hand(id)
                    .map(Hand::account)
                    .filter(account -> !account.equals(asks))
                    .map(accounts::displayName);
        }

        Optional<OpenPlace> place(Entry entry, SavedSet list) {
            Outcome now = reasons.standing(list, id);
            return now == Outcome.NO ? Optional.empty() : Optional.of(place(entry, list, now));
        }

        private OpenPlace place(Entry entry, SavedSet list, Outcome now) {
            return new OpenPlace(
                    entry.setId(),
                    list.publishedName(),
                    entry.standing() != Standing.ON || now != Outcome.YES,
                    entry.dueOn(),
                    entry.joinedOn(),
                    reasons.why(list, id),
                    excused(list.id()).or(() -> heldBack(list.id())),
                    inHandOf,
                    entry.revision());
        }

        private Optional<String> excused(String set) {
            return excused.stream()
                    .filter(one -> one.holds(set, today.day()))
                    .map(one -> "Excused. " + one.words(accounts.displayName(one.account())))
                    .findFirst();
        }

        private Optional<String> heldBack(String set) {
            Map<String, LocalDate> reached =
                    acts.reachedOf(set, id).map(one -> Map.of(id, one.onDay())).orElse(Map.of());
            return new HeldBack(manners.of(set).hold(), records, today.day(), reached)
                    .whyWhoComes(id, comes)
                    .map(why -> "Held back: " + why);
        }
    }
}
