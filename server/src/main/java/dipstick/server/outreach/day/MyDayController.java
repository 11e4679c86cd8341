package dipstick.server.outreach.day;

import dipstick.core.population.Population;
import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.desk.ListsAtWork;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.plan.Step;
import dipstick.server.outreach.seen.SeenLists;
import dipstick.server.outreach.seen.SeenPeople;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What needs whoever is signed in today. */
@RestController
class MyDayController {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final ListsAtWork atWork;
    private final FollowUps followUps;
    private final SeenPeople seen;
    private final SeenLists seenLists;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;

    MyDayController(
            EntryMapper entries,
            ActMapper acts,
            ListsAtWork atWork,
            FollowUps followUps,
            SeenPeople seen,
            SeenLists seenLists,
            Accounts accounts,
            AuditLog audit,
            Today today) {
        this.entries = entries;
        this.acts = acts;
        this.atWork = atWork;
        this.followUps = followUps;
        this.seen = seen;
        this.seenLists = seenLists;
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
        Map<String, SavedSet> lists = seenLists.of(who);
        Population records = seen.records();
        return new MyDay(
                Optional.of(who.provider()).filter(provider -> who.ownPeopleOnly()),
                due(who, lists, records),
                joined(who, lists),
                handedOver(who, lists, records));
    }

    private List<DueFollowUp> due(Colleague who, Map<String, SavedSet> lists, Population records) {
        LocalDate day = today.day();
        return followUps.of(who, lists).stream()
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

    private List<Joined> joined(Colleague who, Map<String, SavedSet> lists) {
        List<Joined> all = new ArrayList<>();
        lists.forEach((id, set) -> {
            int people = atWork.joined(id, who);
            if (people > 0) {
                all.add(new Joined(id, set.publishedName(), people));
            }
        });
        all.sort(Comparator.comparing(Joined::set));
        return List.copyOf(all);
    }

    /** Those whom a colleague gave, or handed over, and who were not gone on with since. */
    private List<HandedOver> handedOver(Colleague who, Map<String, SavedSet> lists, Population records) {
        List<HandedOver> all = new ArrayList<>();
        for (DeskAct last : acts.handedTo(who.name())) {
            entries.ofPerson(last.person()).stream()
                    .filter(entry -> entry.isOpen() && lists.containsKey(entry.setId()))
                    .filter(entry -> seen.maySee(who, entry.person()))
                    .findFirst()
                    .ifPresent(entry -> all.add(new HandedOver(
                            PersonLine.of(records, entry.person(), today.day()),
                            entry.setId(),
                            lists.get(entry.setId()).publishedName(),
                            "from " + accounts.displayName(last.account()) + " on " + DayWords.day(last.onDay()))));
        }
        return all;
    }
}
