package dipstick.core.state;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Concepts;
import dipstick.core.population.Dates;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.state.Oddity.Sort;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** Looks through people and records for what cannot be so. A partial date is odd only where each of its days is. */
final class Oddities {
    private static final int YEARS_AHEAD = 2;
    private static final int OLDEST = 125;
    private static final int FEWEST_VALUES = 10;
    private static final double A_THOUSAND = 1000;
    /** A unit with less than this part of the values is another one than the usual. */
    private static final double FEW = 0.05;

    private final Population population;
    private final Events events;
    private final LocalDate today;
    private final Map<Sort, BitSet> records = new EnumMap<>(Sort.class);
    private final Map<Sort, BitSet> people = new EnumMap<>(Sort.class);

    private Oddities(Population population, LocalDate today) {
        this.population = population;
        this.events = population.events();
        this.today = today;
    }

    /** Only those of which there are any, in the order of their sorts. */
    static List<Oddity> of(Population population, LocalDate today) {
        Oddities all = new Oddities(population, today);
        all.ofPeople();
        all.ofDays();
        all.twice();
        all.ofValues();
        return all.people.entrySet().stream()
                .map(found -> new Oddity(
                        found.getKey(), all.records.getOrDefault(found.getKey(), new BitSet()), found.getValue()))
                .toList();
    }

    private void found(Sort sort, int event) {
        records.computeIfAbsent(sort, _ -> new BitSet()).set(event);
        foundPerson(sort, events.owner(event));
    }

    private void foundPerson(Sort sort, int person) {
        people.computeIfAbsent(sort, _ -> new BitSet()).set(person);
    }

    private static int day(LocalDate date) {
        return Math.toIntExact(date.toEpochDay());
    }

    private void ofPeople() {
        Column.OfDate births = population.birthDate();
        Column.OfDate deaths = population.deceasedOn();
        for (int person = 0; person < population.size(); person++) {
            int birth = births.codes().get(person);
            int death = deaths.codes().get(person);
            if (birth == Codes.MISSING) {
                continue;
            }
            if (births.days().first(birth) > day(today)) {
                foundPerson(Sort.BORN_AHEAD, person);
            }
            if (death != Codes.MISSING
                    && deaths.days().last(death) < births.days().first(birth)) {
                foundPerson(Sort.DIED_BEFORE_BIRTH, person);
            }
            if (death == Codes.MISSING && births.days().last(birth) < day(today.minusYears(OLDEST))) {
                foundPerson(Sort.TOO_OLD, person);
            }
        }
    }

    private void ofDays() {
        int ahead = day(today.plusYears(YEARS_AHEAD));
        Column.OfDate births = population.birthDate();
        Column.OfDate deaths = population.deceasedOn();
        Dates days = events.on().days();
        for (int event = 0; event < events.size(); event++) {
            int date = events.on().codes().get(event);
            if (date == Codes.MISSING) {
                continue;
            }
            int birth = births.codes().get(events.owner(event));
            int death = deaths.codes().get(events.owner(event));
            if (birth != Codes.MISSING && days.last(date) < births.days().first(birth)) {
                found(Sort.BEFORE_BIRTH, event);
            }
            if (death != Codes.MISSING && days.first(date) > deaths.days().last(death)) {
                found(Sort.AFTER_DEATH, event);
            }
            if (days.first(date) > ahead) {
                found(Sort.FAR_AHEAD, event);
            }
        }
    }

    /** What a record is about, where it has a code or a wording. */
    private record About(int kind, int code, int system, int text) {}

    private void twice() {
        Dates days = events.on().days();
        for (int person = 0; person < population.size(); person++) {
            Set<Map.Entry<About, Integer>> seen = new HashSet<>();
            events.of(person).forEach(event -> {
                int date = events.on().codes().get(event);
                int code = events.code().codes().get(event);
                int text = events.text().codes().get(event);
                boolean named = code != Codes.MISSING || text != Codes.MISSING;
                if (named && date != Codes.MISSING && days.first(date) == days.last(date)) {
                    About about = new About(
                            events.kind().codes().get(event),
                            code,
                            code == Codes.MISSING
                                    ? Codes.MISSING
                                    : events.system().codes().get(event),
                            code == Codes.MISSING ? text : Codes.MISSING);
                    if (!seen.add(Map.entry(about, date))) {
                        found(Sort.TWICE_ON_A_DAY, event);
                    }
                }
            });
        }
    }

    /** Values of the same kind, code and system are held side by side, whatever wording they have. */
    private void ofValues() {
        Concepts concepts = events.concepts();
        Map<About, BitSet> byCode = new HashMap<>();
        for (int concept = 0; concept < concepts.count(); concept++) {
            int code = concepts.code(concept);
            About about = new About(
                    concepts.kind(concept),
                    code,
                    concepts.system(concept),
                    code == Codes.MISSING ? concepts.text(concept) : Codes.MISSING);
            BitSet rows = byCode.computeIfAbsent(about, _ -> new BitSet());
            IntStream.range(concepts.start(concept), concepts.end(concept))
                    .filter(event -> !events.value().isMissing(event))
                    .forEach(rows::set);
        }
        byCode.values().stream()
                .filter(rows -> rows.cardinality() >= FEWEST_VALUES)
                .forEach(this::ofValues);
    }

    private void ofValues(BitSet rows) {
        Map<Integer, BitSet> byUnit = new HashMap<>();
        rows.stream()
                .forEach(event -> byUnit.computeIfAbsent(events.unit().codes().get(event), _ -> new BitSet())
                        .set(event));
        byUnit.forEach((unit, some) -> {
            if (unit != Codes.MISSING && some.cardinality() < FEW * rows.cardinality()) {
                some.stream().forEach(event -> found(Sort.ANOTHER_UNIT, event));
            }
            if (some.cardinality() >= FEWEST_VALUES) {
                farFromUsual(some);
            }
        });
    }

    private void farFromUsual(BitSet rows) {
        double[] values = rows.stream().mapToDouble(this::size).sorted().toArray();
        double usual = values[values.length / 2];
        if (usual > 0) {
            rows.stream()
                    .filter(event ->
                            size(event) >= A_THOUSAND * usual || (size(event) > 0 && size(event) <= usual / A_THOUSAND))
                    .forEach(event -> found(Sort.FAR_VALUE, event));
        }
    }

    /** A value without its sign. */
    private double size(int event) {
        return Math.abs(events.value().numbers().get(events.value().codes().get(event)));
    }
}
