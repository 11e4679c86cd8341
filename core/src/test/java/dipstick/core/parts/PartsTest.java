package dipstick.core.parts;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ListRow;
import dipstick.core.population.FieldRows;
import dipstick.core.population.Population;
import dipstick.core.population.PopulationBuilder;
import dipstick.core.proof.MadeCase;
import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RowSink;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The parts of a population, built by columns of what a set asks for alone, answer together as the whole does. */
class PartsTest {
    private static final int SEEDS = Integer.getInteger("proof.parts", 25);
    private static final int PEOPLE = 20;
    private static final int DOCUMENTS = 6;

    private record Files(List<PersonRecord> people, List<EventRecord> events) {
        static Files of(MadeCase made) throws IOException {
            Files files = new Files(new ArrayList<>(), new ArrayList<>());
            PeopleFile.open(bytes(made.people()), ZoneOffset.UTC).forEach(sink(files.people()::add));
            EventsFile.open(bytes(made.events()), ZoneOffset.UTC).forEach(sink(files.events()::add));
            return files;
        }

        private static ByteArrayInputStream bytes(String text) {
            return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
        }
    }

    private static <T> RowSink<T> sink(Consumer<T> good) {
        return RowSink.of(good, problem -> {
            throw new AssertionError(problem);
        });
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 16})
    void say_what_the_whole_says(int parts) throws Exception {
        for (int seed = 1; seed <= SEEDS; seed++) {
            MadeCase made = MadeCase.of(seed, PEOPLE, DOCUMENTS);
            Files files = Files.of(made);
            Population whole = Records.of(made.people(), made.events());
            for (List<String> documents : made.documents()) {
                Question question = new Question(
                        IntStream.range(0, documents.size())
                                .mapToObj(i -> new Question.Document("set " + i, documents.get(i)))
                                .toList(),
                        Map.of(),
                        ZoneOffset.UTC,
                        List.of(made.asOf(), made.asOf().minusMonths(1)),
                        whole.fields().customOfPeople(),
                        whole.fields().customOfEvents());
                CriteriaSet set = question.read();
                PartAnswer together = IntStream.range(0, parts)
                        .mapToObj(part -> PartAnswer.of(
                                part(files, question, set, part, parts), set, question.asOf(), PartAnswer.Wanted.LIST))
                        .map(answer -> PartAnswer.read(answer.written()))
                        .reduce(PartAnswer::plus)
                        .orElseThrow();
                assertThat(together).as("seed %d: %s", seed, documents).isEqualTo(whole(whole, set, question));
            }
        }
    }

    private static PartAnswer whole(Population whole, CriteriaSet set, Question question) {
        Evaluator evaluator = new Evaluator(whole, question.asOf().getFirst());
        Reading reading = evaluator.read(set);
        Map<String, Integer> only = new HashMap<>();
        set.criteria()
                .filter(criterion -> !criterion.off())
                .forEach(criterion -> only.put(
                        criterion.id(),
                        evaluator.keptOffOnlyBy(criterion, reading).cardinality()));
        return new PartAnswer(
                set.id(),
                question.asOf().stream()
                        .map(day -> LevelCounts.of(new Evaluator(whole, day).read(set)))
                        .toList(),
                only,
                ListRow.of(whole, evaluator.members(reading)));
    }

    /** By columns, of every third of the events at a time. */
    private static Population part(Files files, Question question, CriteriaSet set, int part, int parts) {
        AskedRecords asked = new AskedRecords(set);
        PopulationBuilder builder = new PopulationBuilder(question.fields());
        builder.addPeople(columns(
                question.fields().people().all(),
                asked.fieldsOfPeople(),
                files.people().stream()
                        .filter(person -> isOf(person.id(), part, parts))
                        .map(PersonRecord::values)
                        .toList()));
        List<EventRecord> mine = files.events().stream()
                .filter(event -> isOf(event.personId(), part, parts))
                .toList();
        var meant = asked.of(mine);
        for (int third = 0; third < 3; third++) {
            int from = third;
            builder.addEvents(columns(
                    question.fields().events().all(),
                    asked.fieldsOfEvents(),
                    IntStream.range(0, mine.size())
                            .filter(i -> i % 3 == from && meant.get(i))
                            .mapToObj(i -> mine.get(i).values())
                            .toList()));
        }
        return builder.seal();
    }

    private static boolean isOf(String person, int part, int parts) {
        return Math.floorMod(person.hashCode(), parts) == part;
    }

    private static Map<String, FieldRows> columns(
            List<Field> fields, Set<String> asked, List<Map<String, FieldValue>> rows) {
        Map<String, FieldRows> columns = new HashMap<>();
        fields.stream().map(Field::name).filter(asked::contains).forEach(field -> {
            List<FieldValue> values = new ArrayList<>();
            int[] entries = new int[rows.size()];
            for (int row = 0; row < entries.length; row++) {
                FieldValue value = rows.get(row).get(field);
                if (value != null && !values.contains(value)) {
                    values.add(value);
                }
                entries[row] = value == null ? FieldRows.MISSING : values.indexOf(value);
            }
            columns.put(field, new FieldRows(entries, values));
        });
        return columns;
    }
}
