package dipstick.server.sending;

import dipstick.core.wording.DayWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.outreach.ListedNow;
import dipstick.server.outreach.ListedNow.OnList;
import dipstick.server.practice.Today;
import dipstick.server.prompts.MorningSheet;
import dipstick.server.sending.Sending.What;
import dipstick.server.sending.TeamMail.Table;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriUtils;

/** Writes what is sent to a colleague, of what they may see alone. */
@Component
class Composing {
    /** More is looked at in Dipstick. */
    private static final int MOST_ROWS = 300;

    private static final List<String> OF_LIST = List.of("Person", "Born", "Provider", "Site", "Due", "Band", "Why");
    private static final List<String> OF_SHEET = List.of("Person", "Born", "What is due", "What to say");

    private final ListedNow listed;
    private final MorningSheet sheet;
    private final CriteriaSets sets;
    private final Accounts accounts;
    private final Today today;
    private final String address;

    Composing(
            ListedNow listed,
            MorningSheet sheet,
            CriteriaSets sets,
            Accounts accounts,
            Today today,
            @Value("${dipstick.public-address}") String address) {
        this.listed = listed;
        this.sheet = sheet;
        this.sets = sets;
        this.accounts = accounts;
        this.today = today;
        this.address = address;
    }

    /**
     * What would be sent.
     *
     * @param people how many it tells of
     * @param hasNew whether there is something in it that they were not sent before
     */
    record Composed(TeamMail mail, int people, boolean hasNew) {}

    /**
     * @param set the list; empty for the sheet of all
     * @param from the account that has it sent
     * @param mark the last act on lists that they know of
     */
    Composed compose(String set, What what, Colleague to, String from, long mark) {
        return switch (what) {
            case LIST, NEW -> list(set, what == What.NEW, to, from, mark);
            case MORNING -> morning(set, to, from);
        };
    }

    private Composed list(String set, boolean newAlone, Colleague to, String from, long mark) {
        String name = sets.getInForce(set).publishedName();
        ListedNow.Standing standing = listed.of(set, to);
        Set<String> joined = listed.joinedSince(set, mark);
        List<OnList> people = standing.people().stream()
                .filter(one -> !newAlone || joined.contains(one.person().id()))
                .toList();
        boolean hasNew = standing.people().stream()
                .anyMatch(one -> joined.contains(one.person().id()));
        String kept = newAlone || standing.keptBack() == 0
                ? ""
                : " " + standing.keptBack() + " more are excused or held back.";
        String beyond = people.size() > MOST_ROWS ? " The first " + MOST_ROWS + " are told here." : "";
        String counted = counted(people.size(), newAlone ? "new on the list" : "to be contacted");
        return new Composed(
                new TeamMail(
                        accounts.emailOf(to.name()),
                        name + ": " + counted,
                        name + ", " + DayWords.day(today.day()) + ": " + counted + "." + kept + beyond,
                        people.isEmpty()
                                ? List.of()
                                : List.of(new Table(
                                        "",
                                        OF_LIST,
                                        people.stream()
                                                .limit(MOST_ROWS)
                                                .map(one -> row(set, one))
                                                .toList())),
                        address + "/lists/" + UriUtils.encode(set, StandardCharsets.UTF_8),
                        end(from)),
                people.size(),
                hasNew);
    }

    private List<String> row(String set, OnList one) {
        return List.of(
                one.person().name(),
                one.person().born(),
                one.person().provider(),
                one.person().site(),
                switch (one.due()) {
                    case "" -> "";
                    case "never" -> "never met";
                    default -> DayWords.day(LocalDate.parse(one.due()));
                },
                one.band(),
                listed.why(set, one.person().id()));
    }

    private Composed morning(String set, Colleague to, String from) {
        LocalDate day = today.day();
        List<MorningSheet.SheetGroup> groups = sheet.of(day, to, list -> set.isEmpty() || set.equals(list));
        int people = groups.stream().mapToInt(group -> group.people().size()).sum();
        String counted = counted(people, "coming in to be told of something");
        return new Composed(
                new TeamMail(
                        accounts.emailOf(to.name()),
                        "Coming in on " + DayWords.day(day) + ": " + people,
                        (set.isEmpty() ? "" : sets.getInForce(set).publishedName() + ", ") + DayWords.day(day) + ": "
                                + counted + ".",
                        groups.stream()
                                .map(group -> new Table(
                                        group.title(),
                                        OF_SHEET,
                                        group.people().stream()
                                                .map(Composing::row)
                                                .toList()))
                                .toList(),
                        address + "/today/coming-in?day=" + day,
                        end(from)),
                people,
                people > 0);
    }

    private static List<String> row(MorningSheet.SheetLine line) {
        return List.of(
                line.name(),
                line.born(),
                line.due().stream().map(due -> due.list() + ": " + due.why()).collect(Collectors.joining(" ")),
                line.due().stream()
                        .map(MorningSheet.SheetDue::say)
                        .filter(say -> !say.isEmpty())
                        .collect(Collectors.joining(" ")));
    }

    private static String counted(int people, String what) {
        return (people == 0 ? "nobody" : people == 1 ? "1 person" : people + " people") + " " + what;
    }

    private String end(String from) {
        return "Sent by Dipstick, as " + accounts.displayName(from)
                + " asked for. To be left out, ask them. It holds health data: do not send it on.";
    }
}
