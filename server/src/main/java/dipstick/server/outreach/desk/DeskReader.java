package dipstick.server.outreach.desk;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.excused.Excusal;
import dipstick.server.outreach.excused.ExcusalMapper;
import dipstick.server.outreach.plan.HeldBack;
import dipstick.server.outreach.plan.HoldRules;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Spans;
import dipstick.server.readings.ListCriteria;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads the book of a list from the database, or anew what it says of some people. */
@Component
class DeskReader {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final ExcusalMapper excusals;
    private final Manners manners;
    private final ListCriteria criteria;

    DeskReader(EntryMapper entries, ActMapper acts, ExcusalMapper excusals, Manners manners, ListCriteria criteria) {
        this.entries = entries;
        this.acts = acts;
        this.excusals = excusals;
        this.manners = manners;
        this.criteria = criteria;
    }

    /** @param evaluator of the records as of the day on which it is read */
    DeskBook read(SavedSet set, Evaluator evaluator) {
        LocalDate day = evaluator.asOf();
        Population records = evaluator.population();
        List<Entry> shown = entries.ofSet(set.id()).stream()
                .filter(entry -> isShown(entry, day))
                .toList();
        Map<String, LocalDate> reached = new HashMap<>();
        acts.lastReached(set.id()).forEach(one -> reached.put(one.person(), one.onDay()));
        HeldBack heldBack = new HeldBack(manners.of(set.id()).hold(), records, day, reached);
        Map<String, Hand> hands =
                acts.handsOfSet(set.id()).stream().collect(Collectors.toMap(Hand::person, Function.identity()));
        Map<String, DeskAct> attempts =
                acts.lastAttempts(set.id()).stream().collect(Collectors.toMap(DeskAct::person, Function.identity()));
        Map<String, List<Excusal>> excused =
                excusals.ofSet(set.id()).stream().collect(Collectors.groupingBy(Excusal::person));
        List<Place> places = shown.stream()
                .map(entry -> new Place(
                        entry,
                        name(records, entry.person()),
                        heldBack.why(entry.person()),
                        excused(set.id(), excused.getOrDefault(entry.person(), List.of()), day),
                        Optional.ofNullable(hands.get(entry.person())),
                        Optional.ofNullable(attempts.get(entry.person()))))
                .toList();
        return new DeskBook(day, records, layout(set, evaluator, places), places);
    }

    private DeskLayout layout(SavedSet set, Evaluator evaluator, List<Place> places) {
        return new DeskLayout(
                evaluator, criteria.fitting(set, evaluator.population().fields()), places);
    }

    private static String name(Population records, String person) {
        return NormalText.of(PersonLine.name(records, person));
    }

    private static boolean isShown(Entry entry, LocalDate day) {
        return entry.isOpen() || !entry.changedOn().plusDays(Spans.DONE).isBefore(day);
    }

    private static Optional<Excusal> excused(String set, List<Excusal> excusals, LocalDate day) {
        return excusals.stream().filter(one -> one.holds(set, day)).findFirst();
    }

    /**
     * A book that was read before, with what is so now of some people, and over the records of now.
     *
     * @param people all of whom the records, or what was done, say something else since
     */
    DeskBook readAnew(SavedSet set, DeskBook before, Evaluator evaluator, Set<String> people) {
        Map<String, Optional<Place>> places = new HashMap<>();
        HoldRules hold = manners.of(set.id()).hold();
        for (String person : people) {
            places.put(
                    person,
                    entries.ofSetAndPerson(set.id(), person)
                            .filter(one -> isShown(one, evaluator.asOf()))
                            .map(one -> place(one, hold, evaluator)));
        }
        if (before.records() == evaluator.population()) {
            return before.with(places);
        }
        List<Place> shown = before.placesWith(places);
        return new DeskBook(evaluator.asOf(), evaluator.population(), layout(set, evaluator, shown), shown);
    }

    private Place place(Entry entry, HoldRules hold, Evaluator evaluator) {
        String set = entry.setId();
        String person = entry.person();
        Map<String, LocalDate> reached = acts.reachedOf(set, person)
                .map(one -> Map.of(person, one.onDay()))
                .orElse(Map.of());
        return new Place(
                entry,
                name(evaluator.population(), person),
                new HeldBack(hold, evaluator.population(), evaluator.asOf(), reached).why(person),
                excused(set, excusals.ofPerson(person), evaluator.asOf()),
                acts.hand(person),
                acts.lastAttemptWith(person));
    }
}
