package dipstick.server.readings;

import dipstick.core.Outcome;
import dipstick.core.changes.Change;
import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.people.PersonLine;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.security.Principal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The readings of a list, and what changed from one to the next. */
@RestController
@RequestMapping("/api/lists/{set}/readings")
class ReadingController {
    private final Readings readings;
    private final Views views;
    private final Sharing sharing;
    private final Accounts accounts;
    private final AuditLog audit;

    ReadingController(Readings readings, Views views, Sharing sharing, Accounts accounts, AuditLog audit) {
        this.readings = readings;
        this.sharing = sharing;
        this.views = views;
        this.accounts = accounts;
        this.audit = audit;
    }

    /** @param takenBy empty where it was taken by itself when records came */
    record ReadingView(
            long id,
            int version,
            String asOf,
            String takenAt,
            String takenBy,
            TakenReading.Occasion occasion,
            int eligible,
            int has,
            int onList,
            int toCheck,
            int joined,
            int gone) {}

    /** @param was and {@code nowIs}: on the list, off it, or can't tell for to check */
    record ChangeView(PersonLine person, Outcome was, Outcome nowIs, Change.Cause cause, String words) {}

    /** The newest first. */
    @GetMapping
    List<ReadingView> all(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        return readings.of(set).stream().map(this::view).toList();
    }

    /** Takes a reading as of today. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ReadingView take(@PathVariable String set, Principal who) {
        sharing.require(set, Right.CHANGE);
        return view(readings.take(set, who.getName()));
    }

    /** Who joined, who left, and who came to be or is no more to check, each with why. */
    @GetMapping("/{id}/changes")
    List<ChangeView> changes(@PathVariable String set, @PathVariable long id) {
        sharing.require(set, Right.VIEW);
        TakenReading reading = readings.find(set, id);
        audit.record(Act.LIST_READ, set + ", changes of reading " + id);
        Population records = views.current().population();
        Colleague here = accounts.here();
        Map<String, PersonLine> lines = new HashMap<>();
        return readings.changes(reading).stream()
                .map(change -> new ChangeView(
                        lines.computeIfAbsent(change.person(), person -> line(records, person, reading.asOf())),
                        change.was(),
                        change.nowIs(),
                        change.cause(),
                        change.words()))
                .filter(change -> here.maySeePeopleOf(change.person().provider()))
                .toList();
    }

    /** Somebody who is not on file any more keeps their id. */
    private static PersonLine line(Population records, String person, LocalDate asOf) {
        var number = records.find(person);
        return number.isPresent() ? PersonLine.of(records, number.getAsInt(), asOf) : PersonLine.notOnFile(person);
    }

    private ReadingView view(TakenReading one) {
        return new ReadingView(
                one.id(),
                one.version(),
                one.asOf().toString(),
                one.takenAt().toString(),
                one.takenBy().isEmpty() ? "" : accounts.displayName(one.takenBy()),
                one.occasion(),
                one.eligible(),
                one.has(),
                one.onList(),
                one.toCheck(),
                one.joined(),
                one.gone());
    }
}
