package dipstick.core.parts;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Selections;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.population.ConceptRows;
import dipstick.core.population.Concepts;
import dipstick.core.population.Population;
import dipstick.core.population.PopulationBuilder;
import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.time.Window;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which records a set looks at, the sets that it names among its tests and its bands too; whatever else there is changes
 * nothing about its answer, and need not be read.
 */
public final class AskedRecords {
    /** By which somebody is in the population, whatever is asked. */
    private static final Set<String> ALWAYS_OF_PEOPLE = Set.of("id", "status", "deceased_on");

    /** By which a record is somebody's, counts, is meant by terms, and lies in windows. */
    private static final Set<String> ALWAYS_OF_EVENTS =
            Set.of("person_id", "kind", "code", "system", "text", "keywords", "also_coded", "status", "on");

    private static final String BIRTH_DATE = "birth_date";
    private static final String SOMEBODY = "1";

    private final List<Test> tests;

    public AskedRecords(CriteriaSet set) {
        this.tests = testsOf(set).toList();
    }

    private static Stream<Test> testsOf(CriteriaSet set) {
        Stream<Test> ofBands = set.bands().stream()
                .flatMap(band -> band.when() instanceof Band.When.Is(Test test) ? Stream.of(test) : Stream.empty())
                .flatMap(Selections::within);
        return Stream.concat(Selections.inForce(set), ofBands)
                .flatMap(test -> test instanceof Test.Member member
                        ? Stream.concat(Stream.of(test), testsOf(member.set()))
                        : Stream.of(test));
    }

    /** The names of the fields of people. */
    public Set<String> fieldsOfPeople() {
        Stream<String> byAge = asked().map(Selections.Asked::selection)
                .filter(selection -> selection.window() instanceof Window.AtAge)
                .map(_ -> BIRTH_DATE);
        return Stream.of(ALWAYS_OF_PEOPLE.stream(), tests.stream().flatMap(AskedRecords::fieldsOfPeople), byAge)
                .flatMap(fields -> fields)
                .collect(Collectors.toSet());
    }

    private static Stream<String> fieldsOfPeople(Test test) {
        return switch (test) {
            case Test.OfField of -> Stream.of(of.test().field().name());
            case Test.Age _ -> Stream.of(BIRTH_DATE);
            case Test.InRoster in -> in.roster().key().stream().map(Field::name);
            case Test.All _,
                    Test.Any _,
                    Test.AtLeast _,
                    Test.Not _,
                    Test.Events _,
                    Test.Pick _,
                    Test.Sequence _,
                    Test.Member _ -> Stream.empty();
        };
    }

    /** The names of the fields of events. */
    public Set<String> fieldsOfEvents() {
        return Stream.concat(ALWAYS_OF_EVENTS.stream(), asked().flatMap(AskedRecords::fieldsOfEvents))
                .collect(Collectors.toSet());
    }

    private static Stream<String> fieldsOfEvents(Selections.Asked asked) {
        return Stream.concat(
                asked.tests().stream().flatMap(AskedRecords::fieldsOf),
                asked.selection().active() ? Stream.of("until") : Stream.empty());
    }

    private static Stream<String> fieldsOf(FieldTest test) {
        String field = test.field().name();
        return test.unit().isPresent() ? Stream.of(field, "unit") : Stream.of(field);
    }

    private Stream<Selections.Asked> asked() {
        return tests.stream().flatMap(Selections::ofOne);
    }

    /** The places of those records that the kinds and terms of the set mean, whatever else they say. */
    public BitSet of(List<EventRecord> records) {
        PopulationBuilder one = new PopulationBuilder(RecordFields.KNOWN);
        one.add(new PersonRecord(SOMEBODY, Map.of("id", new FieldValue.OfText(SOMEBODY))));
        records.forEach(record -> one.add(ofSomebody(record)));
        Population population = one.seal();
        Evaluator evaluator = new Evaluator(population, LocalDate.EPOCH);
        BitSet meant = new BitSet();
        asked().forEach(asked -> {
            for (int concept : evaluator.conceptsOf(asked.selection())) {
                meant.set(concept);
            }
        });
        Concepts numbered = population.events().concepts();
        int[] rows = population.events().of(0).toArray();
        BitSet places = new BitSet();
        for (int place = 0; place < rows.length; place++) {
            places.set(place, meant.get(numbered.ofRow(rows[place])));
        }
        return places;
    }

    /** Without its status, or it might not count and be passed over. */
    private static EventRecord ofSomebody(EventRecord concept) {
        Map<String, FieldValue> values = new HashMap<>(concept.values());
        values.keySet().retainAll(ConceptRows.FIELDS);
        values.put("person_id", new FieldValue.OfText(SOMEBODY));
        return new EventRecord(values);
    }
}
