package dipstick.server.criteria;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.explain.Verdict;
import dipstick.core.export.ListLayout;
import dipstick.core.export.ShownColumn;
import dipstick.server.people.PersonLine;
import dipstick.server.web.Problems;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.ErrorResponseException;

/**
 * People behind a number, by name.
 *
 * @param show what the set shows of each besides
 * @param top how many of those on the list it shows, the first of these; nothing where it shows all
 *
 * @param after the id to ask on from; nothing where these are the last
 */
record WhoPage(int total, List<ShownColumn> show, Optional<Integer> top, List<Line> people, Optional<String> after) {
    private static final int PAGE = 200;

    /** Of more people than these the reasons are not worked out one by one. */
    private static final int MOST_EXPLAINED = 5_000;

    /**
     * @param why we can't tell; empty where we can
     * @param shown what the set shows of those on its list, in its order; nothing of others
     */
    record Line(PersonLine person, String why, List<String> shown) {}

    /** Which number of the sheet the people are behind. */
    enum Part {
        /** Everybody in the population. */
        POPULATION,
        ON_LIST,
        TO_CHECK,
        ELIGIBLE,
        HAS,
        /** Certainly left after a criterion; of what should be on record, those eligible people who meet it. */
        LEFT,
        /** Perhaps left after a criterion. */
        MAYBE_LEFT,
        /** Left, or perhaps left, before a criterion and not after it. */
        FELL,
        /** On the list and in a band, or in none. */
        IN_BAND,
        /** To check and in a band, or in none. */
        TO_CHECK_IN_BAND
    }

    static WhoPage of(
            Evaluator evaluator,
            Reading reading,
            Part part,
            Optional<String> criterion,
            Optional<String> band,
            Optional<String> after) {
        BitSet people = people(evaluator, reading, part, criterion, band);
        boolean explained =
                (part == Part.TO_CHECK || part == Part.MAYBE_LEFT) && people.cardinality() <= MOST_EXPLAINED;
        ListLayout layout =
                new ListLayout(reading.set(), evaluator, reading.list().yes());
        List<ShownColumn> show = part == Part.ON_LIST ? layout.header() : List.of();
        Optional<Integer> top = layout.top().filter(_ -> part == Part.ON_LIST);
        boolean ordered = part == Part.ON_LIST && (layout.isOrdered() || top.isPresent());
        List<Line> lines = ordered || !show.isEmpty()
                ? onList(evaluator, reading, layout)
                : people.stream()
                        .mapToObj(person -> new Line(
                                PersonLine.of(evaluator.population(), person, reading.asOf()),
                                explained ? Verdict.whyUnsure(evaluator, reading, person) : "",
                                List.of()))
                        .toList();
        List<Line> sorted = ordered ? lines : byReason(lines);
        int from = after.map(id -> 1
                        + sorted.stream()
                                .map(line -> line.person().id())
                                .toList()
                                .indexOf(id))
                .orElse(0);
        int to = Math.min(sorted.size(), from + PAGE);
        return new WhoPage(
                sorted.size(),
                show,
                top,
                sorted.subList(from, to),
                to < sorted.size() ? Optional.of(sorted.get(to - 1).person().id()) : Optional.empty());
    }

    /** With what the set shows of them. */
    private static List<Line> onList(Evaluator evaluator, Reading reading, ListLayout layout) {
        return layout
                .ordered(evaluator.members(reading).stream()
                        .filter(member -> member.state() == ListMember.State.ON)
                        .toList())
                .stream()
                .map(member -> new Line(
                        PersonLine.of(evaluator.population(), member.person(), reading.asOf()),
                        "",
                        layout.cells(member)))
                .toList();
    }

    /** The most frequent reason first, then by name. */
    private static List<Line> byReason(List<Line> lines) {
        Map<String, Long> frequency = lines.stream().collect(Collectors.groupingBy(Line::why, Collectors.counting()));
        return lines.stream()
                .sorted(Comparator.comparing((Line line) -> frequency.get(line.why()), Comparator.reverseOrder())
                        .thenComparing(Line::why)
                        .thenComparing(Line::person, PersonLine.BY_NAME))
                .toList();
    }

    private static BitSet people(
            Evaluator evaluator, Reading reading, Part part, Optional<String> criterion, Optional<String> band) {
        return switch (part) {
            case POPULATION -> reading.people();
            case ON_LIST -> reading.list().yes();
            case TO_CHECK -> reading.list().unsure();
            case ELIGIBLE -> reading.eligible().yes();
            case HAS -> reading.eligibleAndHas().yes();
            case LEFT -> Fallen.left(reading, level(reading, criterion)).yes();
            case MAYBE_LEFT -> Fallen.left(reading, level(reading, criterion)).unsure();
            case FELL -> Fallen.at(reading, level(reading, criterion));
            case IN_BAND -> BandLevels.peopleIn(evaluator, reading, band, ListMember.State.ON);
            case TO_CHECK_IN_BAND -> BandLevels.peopleIn(evaluator, reading, band, ListMember.State.CHECK);
        };
    }

    private static Level level(Reading reading, Optional<String> criterion) {
        return reading.levels().stream()
                .filter(level -> level.criterion().id().equals(criterion.orElse("")))
                .findFirst()
                .orElseThrow(WhoPage::noSuchCriterion);
    }

    static ErrorResponseException noSuchCriterion() {
        return Problems.refused(
                HttpStatus.NOT_FOUND, "no-such-criterion", "This criterion is not there, or it is switched off.");
    }
}
