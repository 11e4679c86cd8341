package dipstick.server.lists;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.doubts.Doubts;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.SavedSet;
import dipstick.server.lists.ListSummary.BandPart;
import dipstick.server.lists.ListSummary.LevelPoint;
import dipstick.server.outreach.desk.ListsAtWork;
import dipstick.server.readings.ListCriteria;
import dipstick.server.readings.Readings;
import dipstick.server.readings.TakenReading;
import dipstick.server.sharing.Sharing;
import java.lang.ref.WeakReference;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** How the lists stand, worked out once for everybody who looks until something about them is another. */
@Component
class ListSummaries {
    private static final int MONTHS_OF_TREND = 12;

    private final CriteriaSets sets;
    private final ListCriteria criteria;
    private final Readings readings;
    private final Evaluators evaluators;
    private final Sharing sharing;
    private final Accounts accounts;
    private final ListsAtWork atWork;
    private final Map<String, Known> known = new ConcurrentHashMap<>();

    ListSummaries(
            CriteriaSets sets,
            ListCriteria criteria,
            Readings readings,
            Evaluators evaluators,
            Sharing sharing,
            Accounts accounts,
            ListsAtWork atWork) {
        this.sets = sets;
        this.criteria = criteria;
        this.readings = readings;
        this.evaluators = evaluators;
        this.sharing = sharing;
        this.accounts = accounts;
        this.atWork = atWork;
    }

    /**
     * All that a summary is worked out from.
     *
     * @param records held no longer than anybody else needs them
     * @param versions of each set that is in force, since one may name another
     * @param dials as they are turned for the list
     */
    private record Source(
            WeakReference<Population> records,
            LocalDate day,
            Map<String, Integer> versions,
            Map<String, String> dials,
            Optional<TakenReading> last) {
        /** Records are the same only if they are the very same. */
        boolean isSameAs(Source other) {
            return records.refersTo(other.records.get())
                    && day.equals(other.day)
                    && versions.equals(other.versions)
                    && dials.equals(other.dials)
                    && last.equals(other.last);
        }
    }

    private record Known(Source source, ListSummary summary) {}

    /** Of the lists that whoever is signed in may see. */
    List<ListSummary> here() {
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        Colleague who = accounts.here();
        Sharing.Seen seen = sharing.seenBy(who);
        Map<String, Integer> targets = atWork.targets();
        Map<String, List<ListsAtWork.InHandOf>> inHand = atWork.inHand();
        Map<String, TakenReading> last = readings.latestOfEach();
        List<SavedSet> inForce = sets.inForce();
        Map<String, Integer> versions = inForce.stream().collect(Collectors.toMap(SavedSet::id, SavedSet::version));
        return inForce.stream()
                .filter(set -> seen.includes(set.id()))
                .map(set -> summary(set, evaluator, versions, Optional.ofNullable(last.get(set.id())))
                        .now(
                                seen.withWhom(set.id()),
                                Optional.ofNullable(targets.get(set.id())),
                                atWork.joined(set.id(), who),
                                inHand.getOrDefault(set.id(), List.of())))
                .toList();
    }

    private ListSummary summary(
            SavedSet saved, Evaluator evaluator, Map<String, Integer> versions, Optional<TakenReading> last) {
        Source source = new Source(
                new WeakReference<>(evaluator.population()),
                evaluator.asOf(),
                versions,
                criteria.dialsOf(saved),
                last.filter(one -> one.version() == saved.version()));
        return Optional.ofNullable(known.get(saved.id()))
                .filter(one -> one.source().isSameAs(source))
                .map(Known::summary)
                .orElseGet(() -> {
                    ListSummary summary = workOut(saved, evaluator, source.last());
                    known.put(saved.id(), new Known(source, summary));
                    return summary;
                });
    }

    /** By its last reading, as the desk is; where there is none of what is published, by the records of now. */
    private ListSummary workOut(SavedSet saved, Evaluator evaluator, Optional<TakenReading> last) {
        try {
            CriteriaSet set = criteria.of(saved, evaluator.population().fields());
            Reading now = evaluator.read(set);
            return new ListSummary(
                    saved.id(),
                    saved.publishedName(),
                    set.purpose(),
                    last.map(TakenReading::onList).orElseGet(now.list()::yesCount),
                    last.map(TakenReading::toCheck).orElseGet(now.list()::unsureCount),
                    last.map(TakenReading::has).orElseGet(now.eligibleAndHas()::yesCount),
                    last.map(TakenReading::eligible).orElseGet(now.eligible()::yesCount),
                    set.shouldHaveInForce().isPresent(),
                    bands(set, last.map(readings::inBands).orElseGet(() -> inBands(evaluator, now))),
                    Optional.empty(),
                    trend(saved.id(), evaluator.asOf()),
                    0,
                    List.of(),
                    last.map(one -> one.asOf().toString()),
                    criteria.settings(saved, set, evaluator.population().fields()),
                    "",
                    Doubts.messages(evaluator, now),
                    "");
        } catch (InvalidCriteria invalid) {
            return new ListSummary(
                    saved.id(),
                    saved.publishedName(),
                    "",
                    0,
                    0,
                    0,
                    0,
                    false,
                    List.of(),
                    Optional.empty(),
                    List.of(),
                    0,
                    List.of(),
                    Optional.empty(),
                    List.of(),
                    "",
                    List.of(),
                    ListController.WRONG);
        }
    }

    /** The last reading of each week. */
    private List<LevelPoint> trend(String set, LocalDate day) {
        Map<LocalDate, LevelPoint> byWeek = new LinkedHashMap<>();
        readings.levelsOver(set).stream()
                .filter(level -> level.asOf().isAfter(day.minusMonths(MONTHS_OF_TREND)))
                .forEach(level -> byWeek.put(
                        level.asOf().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)), LevelPoint.of(level)));
        return List.copyOf(byWeek.values());
    }

    private static Map<String, Integer> inBands(Evaluator evaluator, Reading now) {
        return evaluator.members(now).stream()
                .filter(member -> member.state() == ListMember.State.ON)
                .collect(Collectors.toMap(member -> member.band().orElse(""), _ -> 1, Integer::sum));
    }

    private static List<BandPart> bands(CriteriaSet set, Map<String, Integer> people) {
        return set.bands().isEmpty()
                ? List.of()
                : Stream.concat(set.bands().stream().map(Band::name).distinct(), Stream.of(""))
                        .map(name -> new BandPart(name, people.getOrDefault(name, 0)))
                        .toList();
    }
}
