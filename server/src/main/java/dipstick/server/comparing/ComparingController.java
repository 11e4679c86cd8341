package dipstick.server.comparing;

import dipstick.core.changes.Change;
import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.comparing.Moved.Place;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.excused.Excusals;
import dipstick.server.people.PersonLine;
import dipstick.server.readings.ReadChange;
import dipstick.server.readings.ReadMember;
import dipstick.server.readings.Readings;
import dipstick.server.readings.TakenReading;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who is at one reading and not at another, who is on one list and not on another, and what is different. */
@RestController
class ComparingController {
    private static final ReadMember NOWHERE = new ReadMember("", "", "", "", "");

    private final Readings readings;
    private final CriteriaSets sets;
    private final Excusals excusals;
    private final Views views;
    private final Sharing sharing;
    private final Accounts accounts;
    private final AuditLog audit;

    ComparingController(
            Readings readings,
            CriteriaSets sets,
            Excusals excusals,
            Views views,
            Sharing sharing,
            Accounts accounts,
            AuditLog audit) {
        this.readings = readings;
        this.sets = sets;
        this.excusals = excusals;
        this.views = views;
        this.sharing = sharing;
        this.accounts = accounts;
        this.audit = audit;
    }

    record ReadingsCompared(String from, String to, List<Moved> people) {}

    /**
     * Somebody on one of two lists, or both; where they stand, and since when it is due, on each.
     *
     * @param differing the names of the fields in which the two differ, of those on both
     */
    record OnTwo(
            PersonLine person,
            Place one,
            Place other,
            String dueOne,
            String dueOther,
            String bandOne,
            String bandOther,
            List<String> differing) {}

    /** @param oneOn the day of the reading of each list */
    record ListsCompared(String one, String other, String oneOn, String otherOn, List<OnTwo> people) {}

    /** Two readings of a list, the earlier one first whichever is named first. */
    @GetMapping("/api/lists/{set}/readings-compared")
    ReadingsCompared readings(@PathVariable String set, @RequestParam long from, @RequestParam long to) {
        sharing.require(set, Right.VIEW);
        TakenReading first = readings.find(set, Math.min(from, to));
        TakenReading then = readings.find(set, Math.max(from, to));
        audit.record(Act.LIST_READ, set + ", readings " + first.id() + " and " + then.id());
        Map<String, ReadMember> were = members(first);
        Map<String, ReadMember> are = members(then);
        Map<String, ReadChange> changes = readings.changesBetween(first, then);
        Map<String, String> excused = excusals.since(set, first.asOf(), then.asOf());
        Population records = views.current().population();
        Colleague here = accounts.here();
        TreeSet<String> people = new TreeSet<>(were.keySet());
        people.addAll(are.keySet());
        return new ReadingsCompared(
                first.asOf().toString(),
                then.asOf().toString(),
                people.stream()
                        .map(person -> moved(
                                PersonLine.of(records, person, then.asOf()),
                                were.getOrDefault(person, NOWHERE),
                                are.getOrDefault(person, NOWHERE),
                                Optional.ofNullable(changes.get(person)),
                                Optional.ofNullable(excused.get(person))))
                        .filter(one -> here.maySeePeopleOf(one.person().provider()))
                        .toList());
    }

    private static Moved moved(
            PersonLine person, ReadMember was, ReadMember is, Optional<ReadChange> change, Optional<String> excused) {
        boolean same = place(was) == place(is);
        return new Moved(
                person,
                place(was),
                place(is),
                same ? Optional.<Change.Cause>empty() : change.map(ReadChange::cause),
                same ? "" : change.map(ReadChange::words).orElse(""),
                excused,
                was.dueOn(),
                is.dueOn(),
                was.band(),
                is.band());
    }

    /** The last readings of two lists. */
    @GetMapping("/api/lists-compared")
    ListsCompared lists(@RequestParam @Size(max = 200) String one, @RequestParam @Size(max = 200) String other) {
        sharing.require(one, Right.VIEW);
        sharing.require(other, Right.VIEW);
        TakenReading first = latest(one);
        TakenReading second = latest(other);
        audit.record(Act.LIST_READ, one + " beside " + other);
        Map<String, ReadMember> here = members(first);
        Map<String, ReadMember> there = members(second);
        Population records = views.current().population();
        Colleague who = accounts.here();
        TreeSet<String> people = new TreeSet<>(here.keySet());
        people.addAll(there.keySet());
        return new ListsCompared(
                sets.get(one).publishedName(),
                sets.get(other).publishedName(),
                first.asOf().toString(),
                second.asOf().toString(),
                people.stream()
                        .map(person -> onTwo(
                                PersonLine.of(records, person, first.asOf()),
                                here.getOrDefault(person, NOWHERE),
                                there.getOrDefault(person, NOWHERE)))
                        .filter(row -> who.maySeePeopleOf(row.person().provider()))
                        .toList());
    }

    private static OnTwo onTwo(PersonLine person, ReadMember one, ReadMember other) {
        List<String> differing = place(one) == Place.OFF || place(other) == Place.OFF
                ? List.of()
                : List.of(
                                new Field("state", one.state(), other.state()),
                                new Field("due", one.dueOn(), other.dueOn()),
                                new Field("band", one.band(), other.band()))
                        .stream()
                        .filter(field -> !field.one().equals(field.other()))
                        .map(Field::name)
                        .toList();
        return new OnTwo(
                person, place(one), place(other), one.dueOn(), other.dueOn(), one.band(), other.band(), differing);
    }

    private record Field(String name, String one, String other) {}

    private TakenReading latest(String set) {
        return readings.latest(sets.getInForce(set).id())
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.CONFLICT,
                        "not-read-yet",
                        "This list was not read yet, so there is nothing to compare. Take a reading first."));
    }

    private Map<String, ReadMember> members(TakenReading reading) {
        return readings.members(reading).stream().collect(Collectors.toMap(ReadMember::person, Function.identity()));
    }

    private static Place place(ReadMember member) {
        return switch (member.state()) {
            case "on" -> Place.ON;
            case "check" -> Place.CHECK;
            default -> Place.OFF;
        };
    }
}
