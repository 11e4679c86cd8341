package dipstick.server.outreach.desk;

import dipstick.core.evaluate.ListMember;
import dipstick.core.export.ShownColumn;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.outreach.Listed;
import dipstick.server.outreach.desk.DeskRow.InHand;
import dipstick.server.outreach.desk.DeskRow.LastAttempt;
import dipstick.server.outreach.entries.Manners;
import dipstick.server.outreach.entries.Wording;
import dipstick.server.outreach.plan.ListPart;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import org.springframework.stereotype.Service;

/** Shows a list as it is now to whoever is signed in. */
@Service
public class Desk {
    /** As everywhere, also at the command line (criteria.md section 5). */
    private static final Map<Standing, String> STATE_WORDS = Map.of(
            Standing.ON, ListMember.State.ON.word(),
            Standing.CHECK, ListMember.State.CHECK.word(),
            Standing.OFF, "off");

    private final DeskBooks books;
    private final DeskRows.Reads rows;
    private final Manners manners;
    private final Accounts accounts;
    private final Today today;

    Desk(DeskBooks books, DeskRows.Reads rows, Manners manners, Accounts accounts, Today today) {
        this.books = books;
        this.rows = rows;
        this.manners = manners;
        this.accounts = accounts;
        this.today = today;
    }

    /**
     * A page of those at a desk.
     *
     * @param part its name; empty for the whole list
     * @param all how many are on the list or lately were, also those whom whoever asks may not see
     * @param mine how many of them they may see
     * @param total how many are asked for
     * @param groups how many stand under each heading, in their order; none where they are not gathered
     */
    record Page(
            DeskLayout layout,
            boolean ordered,
            String part,
            int all,
            int mine,
            DeskSight.Counts counts,
            int total,
            List<Integer> groups,
            List<DeskRow> rows) {}

    /** A list as whoever is signed in sees it, and what is said of those on it. */
    private record Seen(DeskBook book, DeskRows rows, DeskSight sight) {}

    private Seen seen(String set) {
        Colleague who = accounts.here();
        LocalDate day = today.day();
        DeskBook book = books.of(set);
        DeskRows said = rows.of(set, book, who, day);
        return new Seen(book, said, new DeskSight(book, manners.of(set).parts(), who, day, said));
    }

    Page page(String set, DeskAsked asked) {
        Seen seen = seen(set);
        int end = (int) Math.min(Integer.MAX_VALUE, (long) asked.first() + asked.most());
        DeskSight.Found found = seen.sight().find(asked, end);
        int total = found.total();
        int from = Math.min(asked.first(), total);
        int to = Math.min(total, end);
        return new Page(
                seen.book().layout(),
                seen.book().isOrdered(),
                seen.sight().part(asked).map(ListPart::name).orElse(""),
                seen.book().places().size(),
                seen.sight().mine().size(),
                seen.sight().counts(asked),
                total,
                found.groups(),
                seen.rows().of(found.places().subList(from, to)));
    }

    /** Everybody who is asked for, not a page of them. */
    List<Place> everybody(String set, DeskAsked asked) {
        return seen(set).sight().find(asked).places();
    }

    /** Whom to take next, in the order that is asked for, from a place on. */
    Optional<DeskRow> nextToTake(String set, DeskAsked asked, String current) {
        Seen seen = seen(set);
        return seen.sight()
                .nextToTake(asked, current)
                .map(place -> seen.rows().of(List.of(place)).getFirst());
    }

    /** The sites and the providers of those on a list whom whoever is signed in may see, in their order. */
    record Parting(SortedSet<String> sites, SortedSet<String> providers) {}

    Parting parting(String set) {
        Seen seen = seen(set);
        Parting parting = new Parting(new TreeSet<>(), new TreeSet<>());
        for (Place place : seen.sight().mine()) {
            parting.sites().add(PersonLine.field(seen.book().records(), place.person(), "site"));
            parting.providers().add(PersonLine.field(seen.book().records(), place.person(), "provider"));
        }
        parting.sites().remove("");
        parting.providers().remove("");
        return parting;
    }

    /** What a set shows of those on its list besides. */
    public List<ShownColumn> columnsOf(String set) {
        return books.of(set).layout().show();
    }

    /** Some of those whom whoever is signed in may see, in the order in which they are named. */
    public List<Listed> listed(String set, List<String> people) {
        Seen seen = seen(set);
        List<Place> places = seen.sight().find(DeskAsked.of(people)).places();
        return seen.rows().of(places).stream().map(Desk::listed).toList();
    }

    private static Listed listed(DeskRow row) {
        Optional<String> heldBack = row.excused().or(row::heldBack);
        return new Listed(
                row.person(),
                STATE_WORDS.get(row.standing()),
                Wording.state(row.state()),
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
        return row.open()
                ? Optional.empty()
                : Optional.of("Is not to be contacted on this list any more: " + Wording.state(row.state()) + ".");
    }
}
