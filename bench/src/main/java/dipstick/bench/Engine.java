package dipstick.bench;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.population.PopulationBuilder;
import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/** The engine with the region's records. */
final class Engine {
    private final Population population;

    Engine(Population population) {
        this.population = population;
    }

    static Engine load(Region region) {
        PopulationBuilder builder = new PopulationBuilder(RecordFields.KNOWN);
        region.make(new Region.Sink() {
            @Override
            public void person(Region.Person person) {
                builder.add(record(person));
            }

            @Override
            public void event(Region.Event event) {
                builder.add(record(event));
            }
        });
        return new Engine(builder.seal());
    }

    Population population() {
        return population;
    }

    CriteriaSet read(String document) {
        try {
            return CriteriaReader.read(
                    List.of(CriteriaSource.parse("question", document)), Map.of(), population.fields(), ZoneOffset.UTC);
        } catch (InvalidCriteria invalid) {
            throw new IllegalStateException(invalid.problems().toString(), invalid);
        }
    }

    /** An evaluator that has nothing kept from before. */
    Evaluator asOf(LocalDate day) {
        return new Evaluator(population, day);
    }

    int count(CriteriaSet set, LocalDate day) {
        return asOf(day).read(set).list().yesCount();
    }

    /** How many are on the list as of each of some days. */
    List<Long> counts(CriteriaSet set, List<LocalDate> days) {
        List<Evaluator> evaluators = days.stream().map(this::asOf).toList();
        if (days.size() > 1) {
            Evaluator.readAhead(set, evaluators);
        }
        return evaluators.stream()
                .map(evaluator -> (long) evaluator.read(set).list().yesCount())
                .toList();
    }

    /** Fetches the ids on the list; returns how many. */
    int fetch(CriteriaSet set, LocalDate day) {
        Reading reading = asOf(day).read(set);
        return population.idsOf(reading.list().yes()).size();
    }

    int members(CriteriaSet set, LocalDate day) {
        Evaluator evaluator = asOf(day);
        return evaluator.members(evaluator.read(set)).size();
    }

    /** Person and band of those on the list, in the order of the people; the band is empty where there is none. */
    TreeMap<Integer, String> membersWithBands(CriteriaSet set, LocalDate day) {
        Evaluator evaluator = asOf(day);
        TreeMap<Integer, String> members = new TreeMap<>();
        for (ListMember member : evaluator.members(evaluator.read(set))) {
            if (member.state() == ListMember.State.ON) {
                members.put(
                        Integer.parseInt(population.idOf(member.person()).substring(1)),
                        member.band().orElse(""));
            }
        }
        return members;
    }

    private static PersonRecord record(Region.Person person) {
        Map<String, FieldValue> values = new HashMap<>();
        values.put("id", new FieldValue.OfText(person.id()));
        values.put("family_name", new FieldValue.OfText(person.familyName()));
        values.put("birth_date", new FieldValue.OfDate(new DateRange(person.born(), person.born())));
        values.put("sex", new FieldValue.OfText(person.sex()));
        values.put("status", new FieldValue.OfText(person.status()));
        values.put("site", new FieldValue.OfText(person.site()));
        if (person.deceasedOn() != Region.Person.ALIVE) {
            values.put("deceased_on", new FieldValue.OfDate(new DateRange(person.deceasedOn(), person.deceasedOn())));
        }
        return new PersonRecord(person.id(), values);
    }

    private static EventRecord record(Region.Event event) {
        boolean valued = !Double.isNaN(event.value());
        return EventRecord.of("p" + event.person(), event.kind())
                .text("id", "e" + event.number())
                .text("code", event.code())
                .text("system", "local")
                .text("text", "Wording of " + event.code())
                .date("on", Optional.of(new DateRange(event.day(), event.day())))
                .text("status", event.status())
                .number("value", valued ? OptionalDouble.of(event.value()) : OptionalDouble.empty())
                .text("unit", valued ? "mmol/L" : "")
                .text("provider", "provider " + event.person() % 90)
                .text("site", "site " + event.person() % 30)
                .text("source", "clinical system")
                .texts("keywords", List.of(event.topic(), event.kind() + "s"))
                .build();
    }
}
