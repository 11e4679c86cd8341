package dipstick.core.parts;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ListRow;
import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a part of a population answers. The answers of different people come together by {@link #plus}, in any order.
 *
 * @param criteria the id of the set
 * @param levels as of each day that is asked
 * @param keptOffOnly as of the first day, by the ids of the criteria in force, how many would be on the list if it were not
 *     for this one
 * @param list as of the first day, by person id by code point; empty where only levels are asked
 */
public record PartAnswer(
        String criteria, List<LevelCounts> levels, Map<String, Integer> keptOffOnly, List<ListRow> list) {
    private static final JsonMapper JSON = JsonMapper.shared();

    public PartAnswer {
        levels = List.copyOf(levels);
        keptOffOnly = new LinkedHashMap<>(keptOffOnly);
        list = List.copyOf(list);
    }

    /** How much is asked. */
    public enum Wanted {
        LEVELS,
        LIST
    }

    /** @param days at least one */
    public static PartAnswer of(Population part, CriteriaSet set, List<LocalDate> days, Wanted wanted) {
        List<Evaluator> evaluators =
                days.stream().map(day -> new Evaluator(part, day)).toList();
        if (days.size() > 1) {
            Evaluator.readAhead(set, evaluators);
        }
        Evaluator first = evaluators.getFirst();
        Reading reading = first.read(set);
        List<LevelCounts> levels = new ArrayList<>(List.of(LevelCounts.of(reading)));
        evaluators.stream().skip(1).forEach(day -> levels.add(LevelCounts.of(day.read(set))));
        return wanted == Wanted.LEVELS
                ? new PartAnswer(set.id(), levels, Map.of(), List.of())
                : new PartAnswer(
                        set.id(), levels, keptOffOnly(first, reading), ListRow.of(part, first.members(reading)));
    }

    private static Map<String, Integer> keptOffOnly(Evaluator evaluator, Reading reading) {
        Map<String, Integer> people = new LinkedHashMap<>();
        reading.set()
                .criteria()
                .filter(criterion -> !criterion.off())
                .forEach((Criterion criterion) -> people.put(
                        criterion.id(),
                        evaluator.keptOffOnlyBy(criterion, reading).cardinality()));
        return people;
    }

    /** These people and others together, asked the same. */
    public PartAnswer plus(PartAnswer other) {
        List<LevelCounts> added = new ArrayList<>();
        for (int day = 0; day < levels.size(); day++) {
            added.add(levels.get(day).plus(other.levels.get(day)));
        }
        Map<String, Integer> only = new LinkedHashMap<>(keptOffOnly);
        other.keptOffOnly.forEach((criterion, people) -> only.merge(criterion, people, Integer::sum));
        return new PartAnswer(
                criteria,
                added,
                only,
                Stream.concat(list.stream(), other.list.stream())
                        .sorted(ListRow.BY_PERSON)
                        .toList());
    }

    /** Of at least one. */
    public static PartAnswer all(Collection<PartAnswer> answers) {
        return answers.stream().reduce(PartAnswer::plus).orElseThrow();
    }

    public PartAnswer withoutList() {
        return new PartAnswer(criteria, levels, keptOffOnly, List.of());
    }

    /** As bytes that travel. */
    public byte[] written() {
        return JSON.writeValueAsBytes(this);
    }

    public static PartAnswer read(byte[] written) {
        return JSON.readValue(written, PartAnswer.class);
    }
}
