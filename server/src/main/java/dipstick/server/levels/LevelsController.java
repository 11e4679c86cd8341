package dipstick.server.levels;

import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.day.Tallies;
import dipstick.server.outreach.desk.ListsAtWork;
import dipstick.server.people.PersonLine;
import dipstick.server.readings.LevelAt;
import dipstick.server.readings.ReadPart;
import dipstick.server.readings.Readings;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How a list stood at its readings, what came of attempts, and how both are by provider and site. */
@RestController
class LevelsController {
    private final CriteriaSets sets;
    private final Readings readings;
    private final Tallies tallies;
    private final ListsAtWork atWork;
    private final Views views;
    private final Sharing sharing;
    private final AuditLog audit;

    LevelsController(
            CriteriaSets sets,
            Readings readings,
            Tallies tallies,
            ListsAtWork atWork,
            Views views,
            Sharing sharing,
            AuditLog audit) {
        this.sets = sets;
        this.readings = readings;
        this.tallies = tallies;
        this.atWork = atWork;
        this.views = views;
        this.sharing = sharing;
        this.audit = audit;
    }

    /** The last reading of a day. */
    record LevelOfDay(String asOf, int eligible, int has, int onList, int toCheck) {
        static LevelOfDay of(LevelAt one) {
            return new LevelOfDay(one.asOf().toString(), one.eligible(), one.has(), one.onList(), one.toCheck());
        }
    }

    record AttemptsOfMonth(String month, String outcome, int attempts) {}

    /**
     * @param shouldHave whether anything should be on record, so that there is a coverage
     * @param target the coverage that is meant to be reached, in percent; nothing where nobody said
     */
    record ListLevels(
            String name,
            boolean shouldHave,
            Optional<Integer> target,
            List<LevelOfDay> levels,
            List<AttemptsOfMonth> attempts,
            List<PartOfList> byProvider,
            List<PartOfList> bySite) {}

    /**
     * @param field provider or site, to look at one part of the list; empty for all of it
     * @param part which provider or site
     */
    @GetMapping("/api/lists/{set}/levels")
    ListLevels levels(
            @PathVariable String set,
            @RequestParam(defaultValue = "") @Size(max = 200) String field,
            @RequestParam(defaultValue = "") @Size(max = 400) String part) {
        sharing.require(set, Right.VIEW);
        if (!field.isEmpty() && !ReadPart.FIELDS.contains(field)) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "no-such-part",
                    "Lists are looked at by " + String.join(" or ", ReadPart.FIELDS) + ", not by “" + field + "”.");
        }
        audit.record(Act.LIST_READ, set + ", levels");
        SavedSet saved = sets.getInForce(set);
        Population records = views.current().population();
        String wanted = NormalText.of(part);
        Predicate<String> within = person -> field.isEmpty()
                || NormalText.of(PersonLine.field(records, person, field)).equals(wanted);
        List<ReadPart> parts = readings.latest(set).map(readings::parts).orElse(List.of());
        List<Tallies.Way> ways = tallies.ways(set);
        return new ListLevels(
                saved.publishedName(),
                saved.json().path("shouldHave").isObject(),
                Optional.ofNullable(atWork.targets().get(set)),
                ofDays(field.isEmpty() ? readings.levelsOver(set) : readings.levelsOver(set, field, part)),
                ofMonths(tallies.attempts(set), within),
                PartOfList.all("provider", parts, ways, records),
                PartOfList.all("site", parts, ways, records));
    }

    private static List<LevelOfDay> ofDays(List<LevelAt> levels) {
        Map<String, LevelOfDay> byDay = new LinkedHashMap<>();
        levels.forEach(one -> byDay.put(one.asOf().toString(), LevelOfDay.of(one)));
        return List.copyOf(byDay.values());
    }

    private static List<AttemptsOfMonth> ofMonths(List<Tallies.Attempts> attempts, Predicate<String> within) {
        Map<String, Map<String, Integer>> tallied = attempts.stream()
                .filter(one -> within.test(one.person()))
                .collect(Collectors.groupingBy(
                        Tallies.Attempts::month,
                        LinkedHashMap::new,
                        Collectors.groupingBy(
                                Tallies.Attempts::outcome,
                                LinkedHashMap::new,
                                Collectors.summingInt(Tallies.Attempts::attempts))));
        List<AttemptsOfMonth> all = new ArrayList<>();
        tallied.forEach((month, outcomes) ->
                outcomes.forEach((outcome, number) -> all.add(new AttemptsOfMonth(month, outcome, number))));
        return all;
    }
}
