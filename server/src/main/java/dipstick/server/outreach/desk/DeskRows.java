package dipstick.server.outreach.desk;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.attempts.Outcomes;
import dipstick.server.outreach.desk.DeskRow.InHand;
import dipstick.server.outreach.desk.DeskRow.LastAttempt;
import dipstick.server.outreach.entries.AttemptOutcome;
import dipstick.server.outreach.entries.DeskAct;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.entries.Hand;
import dipstick.server.outreach.seen.SeenLists;
import dipstick.server.people.PersonLine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/** Places of a book in words, as one colleague may see them. */
final class DeskRows {
    private final Reads reads;
    private final String set;
    private final DeskBook book;
    private final Colleague who;
    private final LocalDate day;
    private final Supplier<Map<String, String>> names;
    private final Supplier<Map<String, AttemptOutcome>> outcomes;
    /** The names of lists, by their ids. */
    private final Supplier<Map<String, String>> lists;

    private Map<String, List<String>> alsoOn = Map.of();

    /** What rows are made of besides a book. */
    @Component
    record Reads(EntryMapper entries, Outcomes outcomes, SeenLists lists, Accounts accounts) {
        DeskRows of(String set, DeskBook book, Colleague who, LocalDate day) {
            return new DeskRows(this, set, book, who, day);
        }
    }

    private DeskRows(Reads reads, String set, DeskBook book, Colleague who, LocalDate day) {
        this.reads = reads;
        this.set = set;
        this.book = book;
        this.who = who;
        this.day = day;
        this.names = SingletonSupplier.of(() ->
                reads.accounts().all().stream().collect(Collectors.toMap(Colleague::name, Colleague::displayName)));
        this.outcomes = SingletonSupplier.of(reads.outcomes()::byId);
        this.lists = SingletonSupplier.of(() -> reads.lists().of(who).values().stream()
                .collect(Collectors.toMap(SavedSet::id, SavedSet::publishedName)));
    }

    /** In the order in which they are given. */
    List<DeskRow> of(List<Place> places) {
        readAlsoOn(places);
        return places.stream().map(this::row).toList();
    }

    /** The other lists of these, read at once. */
    void readAlsoOn(List<Place> places) {
        String[] people = places.stream().map(Place::person).toArray(String[]::new);
        Map<String, List<String>> read = new HashMap<>();
        if (people.length > 0) {
            for (EntryMapper.OpenOn other : reads.entries().openOf(people)) {
                if (!other.setId().equals(set)) {
                    // Nothing of a list that whoever asks may not see, or that is out of use.
                    Optional.ofNullable(lists.get().get(other.setId()))
                            .ifPresent(name -> read.computeIfAbsent(other.person(), _ -> new ArrayList<>())
                                    .add(name));
                }
            }
        }
        alsoOn = read;
    }

    /** The names of other lists that somebody is on, of whom they were read. */
    List<String> alsoOn(String person) {
        return alsoOn.getOrDefault(person, List.of());
    }

    String nameOf(String account) {
        return names.get().getOrDefault(account, account);
    }

    private Optional<String> excused(Place place) {
        return place.excused().map(one -> one.words(nameOf(one.account())));
    }

    /** Why nothing is to be done about them, if so; else why they are, or were, on the list. */
    String said(Place place) {
        return Optional.of(place)
                .filter(one -> one.entry().isOpen())
                .flatMap(one -> excused(one).or(() -> one.heldBack().filter(_ -> one.isHeldBack())))
                .orElse(place.entry().why());
    }

    private DeskRow row(Place place) {
        Entry entry = place.entry();
        return new DeskRow(
                PersonLine.of(book.records(), place.person(), day),
                PersonLine.field(book.records(), place.person(), "language"),
                PersonLine.field(book.records(), place.person(), "contact_by"),
                entry.revision(),
                entry.standing(),
                entry.state(),
                entry.isOpen(),
                entry.dueOn(),
                entry.band(),
                entry.joinedOn().toString(),
                entry.changedOn().toString(),
                entry.why(),
                said(place),
                place.heldBack(),
                place.isHeldBack(),
                excused(place),
                place.hand().map(this::inHand),
                entry.nextStep(),
                entry.nextOn(),
                alsoOn(place.person()),
                book.isBeyondTop(place),
                book.layout().cells(entry),
                place.attempt().map(this::attempt));
    }

    private InHand inHand(Hand hand) {
        return new InHand(
                hand.account(),
                nameOf(hand.account()),
                hand.account().equals(who.name()),
                hand.since().toString());
    }

    private LastAttempt attempt(DeskAct act) {
        return new LastAttempt(
                Optional.ofNullable(outcomes.get().get(act.outcome()))
                        .map(AttemptOutcome::name)
                        .orElse(act.outcome()),
                act.onDay().toString(),
                nameOf(act.account()));
    }
}
