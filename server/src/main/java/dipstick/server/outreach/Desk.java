package dipstick.server.outreach;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.export.ShownColumn;
import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.outreach.DeskRow.InHand;
import dipstick.server.outreach.DeskRow.LastAttempt;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import dipstick.server.readings.ListCriteria;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Shows a list as it is now to whoever is signed in. */
@Service
public class Desk {
    /** As everywhere, also at the command line (criteria.md section 5). */
    private static final Map<Entry.Standing, String> STATE_WORDS = Map.of(
            Entry.Standing.ON, ListMember.State.ON.word(),
            Entry.Standing.CHECK, ListMember.State.CHECK.word(),
            Entry.Standing.OFF, "off");

    /** Those who are done with, or left, are shown so long. */
    private static final int DAYS_SHOWN = 60;

    private final EntryMapper entries;
    private final ActMapper acts;
    private final SetAsideMapper setAsides;
    private final Manners manners;
    private final Outcomes outcomes;
    private final CriteriaSets sets;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Evaluators evaluators;
    private final ListCriteria criteria;
    private final Today today;

    Desk(
            EntryMapper entries,
            ActMapper acts,
            SetAsideMapper setAsides,
            Manners manners,
            Outcomes outcomes,
            CriteriaSets sets,
            Sharing sharing,
            Accounts accounts,
            Evaluators evaluators,
            ListCriteria criteria,
            Today today) {
        this.entries = entries;
        this.acts = acts;
        this.setAsides = setAsides;
        this.manners = manners;
        this.outcomes = outcomes;
        this.sets = sets;
        this.sharing = sharing;
        this.accounts = accounts;
        this.evaluators = evaluators;
        this.criteria = criteria;
        this.today = today;
    }

    /**
     * Those on a list, and those who were lately.
     *
     * @param show what the set shows of them besides
     * @param bands the names of its bands, in their order
     * @param top how many of those on the list it shows; all where it does not say
     * @param all how many there are
     * @param mine those whom whoever is signed in may see
     */
    record Shown(List<ShownColumn> show, List<String> bands, Optional<Integer> top, int all, List<DeskRow> mine) {}

    Shown shown(String set) {
        LocalDate day = today.day();
        Colleague who = accounts.here();
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        Population records = evaluator.population();
        List<Entry> all = entries.ofSet(set).stream()
                .filter(entry -> entry.isOpen()
                        || !entry.changedOn().plusDays(DAYS_SHOWN).isBefore(day))
                .toList();
        DeskLayout layout = layout(set, evaluator, all);
        Rows rows = new Rows(set, day, who, records, layout, all);
        List<DeskRow> mine = all.stream()
                .map(entry -> rows.row(entry, PersonLine.of(records, entry.person(), day)))
                .filter(row -> who.maySeePeopleOf(row.person().provider()))
                .toList();
        return new Shown(layout.show(), layout.bands(), layout.top(), all.size(), mine);
    }

    /** What a set shows of those on its list besides. */
    public List<ShownColumn> columnsOf(String set) {
        return layout(set, evaluators.asOf(Optional.empty()), List.of()).show();
    }

    private DeskLayout layout(String set, Evaluator evaluator, List<Entry> all) {
        return new DeskLayout(
                evaluator,
                criteria.fitting(sets.getInForce(set), evaluator.population().fields()),
                all);
    }

    /** Some of those whom whoever is signed in may see, in the order in which they are named. */
    public List<Listed> listed(String set, List<String> people) {
        Map<String, DeskRow> byPerson = shown(set).mine().stream()
                .collect(Collectors.toMap(row -> row.person().id(), Function.identity()));
        return people.stream()
                .distinct()
                .map(byPerson::get)
                .filter(Objects::nonNull)
                .map(Desk::listed)
                .toList();
    }

    private static Listed listed(DeskRow row) {
        Optional<String> heldBack = row.setAside().or(row::heldBack);
        return new Listed(
                row.person(),
                STATE_WORDS.get(row.standing()),
                words(row.state()),
                row.due(),
                row.band(),
                row.why(),
                Wording.step(row.nextStep()),
                row.nextOn(),
                row.inHand().map(InHand::name).orElse(""),
                row.lastAttempt().map(LastAttempt::outcome).orElse(""),
                row.lastAttempt().map(LastAttempt::on).orElse(""),
                row.joinedOn(),
                String.join(", ", row.alsoOn()),
                heldBack.orElse(""),
                heldBack.or(() -> inOtherHands(row)).or(() -> notOpen(row)).orElse(""),
                row.shown());
    }

    private static Optional<String> inOtherHands(DeskRow row) {
        return row.inHand().filter(hand -> !hand.mine()).map(hand -> hand.name() + " has this person in hand.");
    }

    private static Optional<String> notOpen(DeskRow row) {
        return row.state().isOpen()
                ? Optional.empty()
                : Optional.of("Is not to be contacted on this list any more: " + words(row.state()) + ".");
    }

    private static String words(Entry.State state) {
        return state.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** What is known of everybody of a list, read at once. */
    private final class Rows {
        private final String set;
        private final LocalDate day;
        private final Colleague who;
        private final Population records;
        private final DeskLayout layout;
        private final Optional<Map<String, Integer>> places;
        private final Set<String> beyondTop;
        private final HeldBack heldBack;
        private final Map<String, List<String>> alsoOn = new HashMap<>();
        private final Map<String, Hand> hands;
        private final Map<String, DeskAct> attempts;
        private final Map<String, List<SetAside>> aside;
        private final Map<String, AttemptOutcome> known = outcomes.byId();
        private final Map<String, String> names;

        Rows(String set, LocalDate day, Colleague who, Population records, DeskLayout layout, List<Entry> shown) {
            this.set = set;
            this.day = day;
            this.who = who;
            this.records = records;
            this.layout = layout;
            this.places = layout.places(shown);
            this.beyondTop = layout.beyondTop(shown);
            Map<String, LocalDate> reached = new HashMap<>();
            acts.lastReached(set).forEach(one -> reached.put(one.person(), one.onDay()));
            this.heldBack = new HeldBack(manners.of(set).hold(), records, day, reached);
            this.hands = acts.handsOfSet(set).stream().collect(Collectors.toMap(Hand::person, Function.identity()));
            this.attempts =
                    acts.lastAttempts(set).stream().collect(Collectors.toMap(DeskAct::person, Function.identity()));
            this.aside = setAsides.ofSet(set).stream().collect(Collectors.groupingBy(SetAside::person));
            this.names = accounts.all().stream().collect(Collectors.toMap(Colleague::name, Colleague::displayName));
            Map<String, Optional<String>> lists = new HashMap<>();
            for (Entry other : entries.onOtherLists(set)) {
                lists.computeIfAbsent(other.setId(), this::nameOf)
                        .ifPresent(name -> alsoOn.computeIfAbsent(other.person(), _ -> new ArrayList<>())
                                .add(name));
            }
        }

        /** Nothing for a list that whoever asks may not see, or that is out of use. */
        private Optional<String> nameOf(String id) {
            return sharing.of(who, id).includes(Right.VIEW) && sets.get(id).isInForce()
                    ? Optional.of(sets.get(id).publishedName())
                    : Optional.empty();
        }

        DeskRow row(Entry entry, PersonLine person) {
            return new DeskRow(
                    person,
                    PersonLine.field(records, entry.person(), "language"),
                    PersonLine.field(records, entry.person(), "contact_by"),
                    entry.revision(),
                    entry.standing(),
                    entry.state(),
                    entry.dueOn(),
                    entry.band(),
                    entry.joinedOn().toString(),
                    entry.changedOn().toString(),
                    entry.why(),
                    heldBack.why(entry.person()),
                    aside.getOrDefault(entry.person(), List.of()).stream()
                            .filter(one -> one.isOf(set) && one.holdsOn(day))
                            .map(one -> one.words(name(one.account())))
                            .findFirst(),
                    Optional.ofNullable(hands.get(entry.person())).map(this::inHand),
                    entry.nextStep(),
                    entry.nextOn(),
                    alsoOn.getOrDefault(entry.person(), List.of()),
                    places.map(known -> known.get(entry.person())),
                    beyondTop.contains(entry.person()),
                    layout.cells(entry),
                    Optional.ofNullable(attempts.get(entry.person())).map(this::attempt));
        }

        private InHand inHand(Hand hand) {
            return new InHand(
                    hand.account(),
                    name(hand.account()),
                    hand.account().equals(who.name()),
                    hand.since().toString());
        }

        private LastAttempt attempt(DeskAct act) {
            return new LastAttempt(
                    Optional.ofNullable(known.get(act.outcome()))
                            .map(AttemptOutcome::name)
                            .orElse(act.outcome()),
                    act.onDay().toString(),
                    name(act.account()));
        }

        private String name(String account) {
            return names.getOrDefault(account, account);
        }
    }
}
