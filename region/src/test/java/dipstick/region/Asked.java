package dipstick.region;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.Reading;
import dipstick.core.export.ListRow;
import dipstick.core.export.ReadingExport;
import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import dipstick.core.population.Population;
import dipstick.core.population.RecordFiles;
import dipstick.core.proof.MadeCase;
import dipstick.core.records.RecordFields;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A question over two CSV files, and what {@code evaluate} says to it. */
public record Asked(String name, Path people, Path events, Question question) {
    private static final Path KIT = Path.of("../core/src/test/resources/conformance");
    public static final Path KIT_PEOPLE = KIT.resolve("people.csv");
    public static final Path KIT_EVENTS = KIT.resolve("events.csv");

    private static final Map<List<Object>, Population> LOADED = new ConcurrentHashMap<>();

    @Override
    public String toString() {
        return name;
    }

    /** Every case of the conformance kit that has an answer. */
    public static Stream<Asked> kit() throws IOException {
        JsonNode manifest = JsonMapper.shared().readTree(Files.readString(KIT.resolve("cases/manifest.json")));
        return manifest.get("cases").valueStream().map(Asked::ofKit);
    }

    private static Asked ofKit(JsonNode one) {
        Map<String, String> dials = new HashMap<>();
        one.path("dials")
                .properties()
                .forEach(dial -> dials.put(dial.getKey(), dial.getValue().asString()));
        List<Question.Document> documents = one.get("criteria")
                .valueStream()
                .map(file -> document(KIT.resolve("cases").resolve(file.asString())))
                .toList();
        return of(
                one.get("name").asString(),
                KIT_PEOPLE,
                KIT_EVENTS,
                documents,
                dials,
                ZoneId.of(one.get("zone").asString()),
                LocalDate.parse(one.get("asOf").asString()));
    }

    private static Question.Document document(Path file) {
        try {
            return new Question.Document(file.toString(), Files.readString(file));
        } catch (IOException unreadable) {
            throw new AssertionError(unreadable);
        }
    }

    /** Made-up documents over made-up records, which are written into a folder. */
    public static Stream<Asked> made(Path folder, int seed, int people, int documents) throws IOException {
        MadeCase made = MadeCase.of(seed, people, documents);
        Path peopleFile = Files.writeString(folder.resolve("people" + seed + ".csv"), made.people());
        Path eventsFile = Files.writeString(folder.resolve("events" + seed + ".csv"), made.events());
        return made.documents().stream()
                .map(sets -> of(
                        "seed " + seed,
                        peopleFile,
                        eventsFile,
                        IntStream.range(0, sets.size())
                                .mapToObj(i -> new Question.Document("set" + i, sets.get(i)))
                                .toList(),
                        Map.of(),
                        ZoneId.of("UTC"),
                        made.asOf()));
    }

    private static Asked of(
            String name,
            Path people,
            Path events,
            List<Question.Document> documents,
            Map<String, String> dials,
            ZoneId zone,
            LocalDate asOf) {
        RecordFields fields = load(people, events, zone).fields();
        return new Asked(
                name,
                people,
                events,
                new Question(documents, dials, zone, List.of(asOf), fields.customOfPeople(), fields.customOfEvents()));
    }

    private static Population load(Path people, Path events, ZoneId zone) {
        return LOADED.computeIfAbsent(List.of(people, events, zone), _ -> {
            try {
                return RecordFiles.load(people, events, zone).population();
            } catch (IOException unreadable) {
                throw new AssertionError(unreadable);
            }
        });
    }

    /** The list as CSV, and the levels as JSON, as {@code evaluate} has them. */
    public String expected() throws InvalidCriteria {
        CriteriaSet set = question.read();
        Evaluator evaluator = new Evaluator(
                load(people, events, question.zone()), question.asOf().getFirst());
        Reading reading = evaluator.read(set);
        return written(set.id(), LevelCounts.of(reading), ListRow.of(reading.records(), evaluator.members(reading)));
    }

    /** The same of what parts answered together. */
    public String written(PartAnswer answer) {
        return written(answer.criteria(), answer.levels().getFirst(), answer.list());
    }

    private String written(String id, LevelCounts levels, List<ListRow> list) {
        return ReadingExport.levels(id, question.asOf().getFirst(), question.zone(), levels)
                        .toPrettyString()
                + "\n" + ReadingExport.csv(list);
    }
}
