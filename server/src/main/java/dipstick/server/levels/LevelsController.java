package dipstick.server.levels;

import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.outreach.Tallies;
import dipstick.server.people.PersonLine;
import dipstick.server.readings.Readings;
import dipstick.server.readings.TakenReading;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a list stood at its readings, and how it stands by provider and site. */
@RestController
class LevelsController {
    private final CriteriaSets sets;
    private final Evaluators evaluators;
    private final Readings readings;
    private final Tallies tallies;
    private final Sharing sharing;
    private final AuditLog audit;

    LevelsController(
            CriteriaSets sets,
            Evaluators evaluators,
            Readings readings,
            Tallies tallies,
            Sharing sharing,
            AuditLog audit) {
        this.sets = sets;
        this.evaluators = evaluators;
        this.readings = readings;
        this.tallies = tallies;
        this.sharing = sharing;
        this.audit = audit;
    }

    /** The last reading of a day. */
    record LevelOfDay(String asOf, int eligible, int has, int onList, int toCheck) {}

    /**
     * People of one provider, or one site.
     *
     * @param open how many are still to be done on the list
     * @param done how many came to have it while they were on the list
     * @param medianDays from joining to done; nothing where nobody is
     */
    record PartOfList(String name, int eligible, int has, int onList, int open, int done, Optional<Long> medianDays) {}

    record ListLevels(
            String name,
            boolean shouldHave,
            List<LevelOfDay> levels,
            List<Tallies.Attempts> attempts,
            List<PartOfList> byProvider,
            List<PartOfList> bySite) {}

    @GetMapping("/api/lists/{set}/levels")
    ListLevels levels(@PathVariable String set) {
        sharing.require(set, Right.VIEW);
        audit.record(Act.LIST_READ, set + ", levels");
        Map<String, LevelOfDay> byDay = new LinkedHashMap<>();
        for (TakenReading one : readings.of(set).reversed()) {
            byDay.put(
                    one.asOf().toString(),
                    new LevelOfDay(one.asOf().toString(), one.eligible(), one.has(), one.onList(), one.toCheck()));
        }
        Evaluator evaluator = evaluators.asOf(Optional.empty());
        Optional<Reading> reading = sets.readingOf(sets.getInForce(set).json(), evaluator);
        List<Tallies.Way> ways = tallies.ways(set);
        return new ListLevels(
                sets.getInForce(set).publishedName(),
                reading.filter(one -> one.set().shouldHaveInForce().isPresent()).isPresent(),
                List.copyOf(byDay.values()),
                tallies.attempts(set),
                shares(evaluator.population(), reading, ways, "provider"),
                shares(evaluator.population(), reading, ways, "site"));
    }

    /** Counts what one value of a field has. */
    private static final class Counts {
        /** As it is written first. */
        private final String name;

        private int eligible;
        private int has;
        private int onList;
        private int open;
        private final List<Long> daysToDone = new ArrayList<>();

        Counts(String name) {
            this.name = name;
        }

        PartOfList share() {
            List<Long> sorted = daysToDone.stream().sorted().toList();
            return new PartOfList(
                    name,
                    eligible,
                    has,
                    onList,
                    open,
                    sorted.size(),
                    sorted.isEmpty() ? Optional.empty() : Optional.of(sorted.get(sorted.size() / 2)));
        }
    }

    private static List<PartOfList> shares(
            Population records, Optional<Reading> reading, List<Tallies.Way> ways, String field) {
        Map<String, Counts> byValue = new TreeMap<>();
        Function<String, Counts> of = written ->
                byValue.computeIfAbsent(NormalText.of(written), _ -> new Counts(written.isEmpty() ? "none" : written));
        reading.ifPresent(one -> one.eligible().yes().stream().forEach(person -> {
            Counts counts = of.apply(PersonLine.field(records, records.idOf(person), field));
            counts.eligible++;
            counts.has += one.eligibleAndHas().yes().get(person) ? 1 : 0;
            counts.onList += one.list().yes().get(person) ? 1 : 0;
        }));
        for (Tallies.Way way : ways) {
            Counts counts = of.apply(PersonLine.field(records, way.person(), field));
            counts.open += way.open() ? 1 : 0;
            if (way.done()) {
                counts.daysToDone.add(ChronoUnit.DAYS.between(way.joinedOn(), way.changedOn()));
            }
        }
        return byValue.values().stream()
                .map(Counts::share)
                .sorted(Comparator.comparing(PartOfList::name))
                .toList();
    }
}
