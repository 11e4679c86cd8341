package dipstick.core.conformance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.Problem;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ReadingExport;
import dipstick.core.population.Population;
import dipstick.core.population.RecordFiles;
import dipstick.core.records.RowProblem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every case of the conformance kit: the whole outcome of the valid ones, the pointers of the invalid ones. */
class ConformanceTest {
    private static final Path KIT = Path.of("src/test/resources/conformance");
    private static final JsonMapper JSON = JsonMapper.shared();

    private static final Map<ZoneId, Population> RECORDS = new HashMap<>();

    record Case(String name, Path folder, JsonNode manifest) {
        @Override
        public String toString() {
            return name;
        }
    }

    @ParameterizedTest
    @MethodSource("validCases")
    void gives_the_expected_outcome(Case valid) throws Exception {
        ZoneId zone = ZoneId.of(valid.manifest().get("zone").asString());
        LocalDate asOf = LocalDate.parse(valid.manifest().get("asOf").asString());
        CriteriaSet set = read(valid, zone);

        Evaluator evaluator = new Evaluator(records(zone), asOf);
        Reading reading = evaluator.read(set);
        JsonNode outcome = ReadingExport.json(reading, evaluator.members(reading), zone);

        JsonNode expected = JSON.readTree(valid.folder().resolve(valid.name() + ".expected.json"));
        assertThat(JSON.readTree(outcome.toString())).isEqualTo(expected);
    }

    @ParameterizedTest
    @MethodSource("invalidCases")
    void names_the_spot_of_every_mistake(Case invalid) throws Exception {
        InvalidCriteria refused =
                catchThrowableOfType(InvalidCriteria.class, () -> read(invalid, ZoneId.of("Europe/Lisbon")));

        assertThat(refused).as("is refused").isNotNull();
        List<String> named = refused.problems().values().stream()
                .flatMap(List::stream)
                .map(Problem::pointer)
                .toList();
        List<String> expected = texts(invalid.manifest().get("pointers"));
        if (invalid.manifest().path("all").asBoolean(false)) {
            assertThat(named).containsAll(expected);
        } else {
            assertThat(named).containsAnyElementsOf(expected);
        }
    }

    @ParameterizedTest
    @MethodSource("brokenRecords")
    void names_the_line_of_every_mistake_in_records(Case broken) throws Exception {
        RecordFiles.Loaded loaded =
                RecordFiles.load(file(broken, "people"), file(broken, "events"), ZoneId.of("Europe/Lisbon"));

        boolean inPeople =
                broken.manifest().get("file").equals(broken.manifest().get("people"));
        List<RowProblem> problems = inPeople ? loaded.peopleProblems() : loaded.eventProblems();
        assertThat(problems)
                .extracting(RowProblem::line)
                .contains(broken.manifest().get("line").asLong());
    }

    private static Path file(Case one, String which) {
        return one.folder().resolve(one.manifest().get(which).asString());
    }

    @Test
    void the_kit_is_whole() throws IOException {
        assertThat(validCases()).hasSize(171);
        assertThat(invalidCases()).hasSize(47);
        assertThat(brokenRecords()).hasSize(9);
    }

    static Stream<Case> validCases() throws IOException {
        return cases("cases");
    }

    static Stream<Case> invalidCases() throws IOException {
        return cases("invalid");
    }

    static Stream<Case> brokenRecords() throws IOException {
        return cases("records");
    }

    private static Stream<Case> cases(String folder) throws IOException {
        JsonNode manifest = JSON.readTree(KIT.resolve(folder).resolve("manifest.json"));
        return manifest.get("cases")
                .valueStream()
                .map(one -> new Case(one.get("name").asString(), KIT.resolve(folder), one));
    }

    private static CriteriaSet read(Case one, ZoneId zone) throws IOException, InvalidCriteria {
        List<CriteriaSource> sources = new ArrayList<>();
        for (String file : texts(one.manifest().get("criteria"))) {
            sources.add(CriteriaSource.parse(file, Files.readString(one.folder().resolve(file))));
        }
        Map<String, String> dials = new HashMap<>();
        one.manifest()
                .path("dials")
                .properties()
                .forEach(dial -> dials.put(dial.getKey(), dial.getValue().asString()));
        return CriteriaReader.read(sources, dials, records(zone).fields(), zone);
    }

    private static Population records(ZoneId zone) throws IOException {
        if (!RECORDS.containsKey(zone)) {
            RecordFiles.Loaded loaded = RecordFiles.load(KIT.resolve("people.csv"), KIT.resolve("events.csv"), zone);
            assertThat(loaded.peopleProblems()).isEmpty();
            assertThat(loaded.eventProblems()).isEmpty();
            RECORDS.put(zone, loaded.population());
        }
        return RECORDS.get(zone);
    }

    private static List<String> texts(JsonNode list) {
        return list.valueStream().map(JsonNode::asString).toList();
    }
}
