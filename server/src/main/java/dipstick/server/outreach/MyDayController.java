package dipstick.server.outreach;

import dipstick.core.population.Population;
import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What needs whoever is signed in today. */
@RestController
class MyDayController {
    private static final int DAYS_JOINED = 7;

    private final EntryMapper entries;
    private final ActMapper acts;
    private final FollowUps followUps;
    private final SeenPeople seen;
    private final CriteriaSets sets;
    private final Sharing sharing;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    MyDayController(
            EntryMapper entries,
            ActMapper acts,
            FollowUps followUps,
            SeenPeople seen,
            CriteriaSets sets,
            Sharing sharing,
            Accounts accounts,
            AuditLog audit,
            Today today) {
        this.entries = entries;
        this.acts = acts;
        this.followUps = followUps;
        this.seen = seen;
        this.sets = sets;
        this.sharing = sharing;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
    }

    /** Somebody in hand, with what is due. */
    record DueFollowUp(PersonLine person, String set, String list, Step step, String on) {}

    record Joined(String set, String list, int people) {}

    /** @param words who gave them, and when */
    record HandedOver(PersonLine person, String set, String list, String words) {}

    /** @param peopleOf the provider whose people this tells of, where whoever asks may see no others */
    record MyDay(
            Optional<String> peopleOf, List<DueFollowUp> followUps, List<Joined> joined, List<HandedOver> handedOver) {}

    @GetMapping("/api/today")
    MyDay today() {
        audit.recordOnce(Act.LIST_READ, "today");
        Colleague who = accounts.here();
        Map<String, SavedSet> lists = new LinkedHashMap<>();
        sets.inForce().stream()
                .filter(set -> sharing.of(who, set.id()).includes(Right.VIEW))
                .forEach(set -> lists.put(set.id(), set));
        List<Entry> open = entries.open().stream()
                .filter(entry -> lists.containsKey(entry.setId()))
                .toList();
        Population records = seen.records();
        return new MyDay(
                Optional.of(who.provider()).filter(provider -> who.ownPeopleOnly()),
                due(who, records),
                joined(who, open, lists),
                handedOver(who, open, lists, records));
    }

    private List<DueFollowUp> due(Colleague who, Population records) {
        LocalDate day = today.day();
        return followUps.of(who).stream()
                .filter(one -> !one.on().isAfter(day) && seen.maySee(who, one.person()))
                .map(one -> new DueFollowUp(
                        PersonLine.of(records, one.person(), day),
                        one.set(),
                        one.list(),
                        one.step(),
                        one.on().toString()))
                .sorted(Comparator.comparing(DueFollowUp::on).thenComparing(DueFollowUp::person, PersonLine.BY_NAME))
                .toList();
    }

    private List<Joined> joined(Colleague who, List<Entry> open, Map<String, SavedSet> lists) {
        LocalDate since = today.day().minusDays(DAYS_JOINED);
        Map<String, Long> people = open.stream()
                .filter(entry -> entry.standing() == Entry.Standing.ON
                        && entry.joinedOn().isAfter(since))
                .filter(entry -> seen.maySee(who, entry.person()))
                .collect(Collectors.groupingBy(Entry::setId, TreeMap::new, Collectors.counting()));
        return people.entrySet().stream()
                .map(one -> new Joined(
                        one.getKey(),
                        lists.get(one.getKey()).publishedName(),
                        one.getValue().intValue()))
                .toList();
    }

    /** Those whom a colleague gave, or handed over, and who were not gone on with since. */
    private List<HandedOver> handedOver(
            Colleague who, List<Entry> open, Map<String, SavedSet> lists, Population records) {
        List<HandedOver> all = new ArrayList<>();
        for (Hand hand : acts.handsOf(who.name())) {
            if (!seen.maySee(who, hand.person())) {
                continue;
            }
            Optional<DeskAct> last = acts.ofPerson(hand.person()).stream()
                    .filter(act -> !act.undone() && !act.account().isEmpty())
                    .findFirst()
                    .filter(act -> act.kind() == DeskAct.Kind.GIVEN || act.kind() == DeskAct.Kind.HANDED_OVER);
            Optional<Entry> entry = open.stream()
                    .filter(one -> one.person().equals(hand.person()))
                    .findFirst();
            if (last.isPresent() && entry.isPresent()) {
                all.add(new HandedOver(
                        PersonLine.of(records, hand.person(), today.day()),
                        entry.get().setId(),
                        lists.get(entry.get().setId()).publishedName(),
                        "from " + accounts.displayName(last.get().account()) + " on "
                                + DayWords.day(last.get().onDay())));
            }
        }
        return all;
    }
}
