package dipstick.server.prompts;

import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Colleague;
import dipstick.server.paper.Paper;
import dipstick.server.paper.Paper.Column;
import dipstick.server.paper.Paper.Table;
import dipstick.server.practice.PracticeSettings;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Who comes in on a day and is to be told of something, by site and provider, to be looked at, printed or sent. */
@Service
public class MorningSheet {
    private static final List<Column> COLUMNS = List.of(
            new Column("Person", 4), new Column("Born", 2), new Column("What is due", 6), new Column("What to say", 6));

    private final Expected expected;
    private final Paper paper;
    private final PracticeSettings practice;

    MorningSheet(Expected expected, Paper paper, PracticeSettings practice) {
        this.expected = expected;
        this.paper = paper;
        this.practice = practice;
    }

    /**
     * The people of one provider at one site.
     *
     * @param provider empty where neither the appointment nor the person says
     * @param site likewise
     */
    public record SheetGroup(String site, String provider, List<SheetLine> people) {
        public SheetGroup {
            people = List.copyOf(people);
        }

        /** The site and the provider, in words. */
        public String title() {
            return (site.isEmpty() ? "No site on record" : site) + ", "
                    + (provider.isEmpty() ? "no provider on record" : provider);
        }
    }

    /** Somebody on the sheet, without contact details. */
    public record SheetLine(String person, String name, String born, List<SheetDue> due) {
        public SheetLine {
            due = List.copyOf(due);
        }
    }

    /** Something that is due of them; {@code say} is empty where nobody wrote what may be said. */
    public record SheetDue(String set, String list, String why, String say) {}

    /** The sheet of a day as a colleague may see it. */
    List<SheetGroup> of(LocalDate day, Colleague who) {
        return of(day, who, _ -> true);
    }

    /** @param lists of which it tells, where the colleague may see them */
    public List<SheetGroup> of(LocalDate day, Colleague who, Predicate<String> lists) {
        Map<String, List<ComingIn>> groups = expected.toldOf(day, who, lists).stream()
                .collect(Collectors.groupingBy(
                        one -> one.site() + "\n" + one.provider(), TreeMap::new, Collectors.toList()));
        return groups.values().stream()
                .map(those -> new SheetGroup(
                        those.getFirst().site(),
                        those.getFirst().provider(),
                        those.stream().map(MorningSheet::line).distinct().toList()))
                .sorted(Comparator.comparing(SheetGroup::site).thenComparing(SheetGroup::provider))
                .toList();
    }

    private static SheetLine line(ComingIn one) {
        return new SheetLine(
                one.person().id(),
                one.person().name(),
                one.person().born(),
                one.mention().stream()
                        .map(mention -> new SheetDue(mention.set(), mention.list(), mention.why(), mention.say()))
                        .toList());
    }

    /**
     * As PDF, on A4.
     *
     * @param footer who printed it, and when
     */
    byte[] print(LocalDate day, List<SheetGroup> groups, String footer) {
        return paper.tables(
                (practice.practice().isBlank() ? "" : practice.practice() + ": ") + "coming in on " + DayWords.day(day),
                groups.stream().map(this::table).toList(),
                "Nobody comes in on this day who is to be told of something.",
                footer);
    }

    private Table table(SheetGroup group) {
        return new Table(
                printable(group.title()),
                COLUMNS,
                group.people().stream().flatMap(this::rows).toList());
    }

    private Stream<List<String>> rows(SheetLine line) {
        return line.due().stream()
                .map(due -> List.of(
                        printable(line.name()),
                        line.born(),
                        printable(due.list() + ": " + due.why()),
                        printable(due.say())));
    }

    private String printable(String text) {
        return paper.unprintable(text).isEmpty() ? text : "(cannot be printed here; see it on the page)";
    }
}
