package dipstick.core;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.Problem;
import dipstick.core.population.Population;
import dipstick.core.population.RecordFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Small populations and criteria sets for tests, written as they are in files. */
public final class Records {
    public static final LocalDate TODAY = LocalDate.of(2026, 11, 23);

    private Records() {}

    /** People and events from the text of two CSV files, none of whose lines is bad. */
    public static Population of(String people, String events) {
        try {
            Path folder = Files.createTempDirectory("records");
            Path peopleFile = Files.writeString(folder.resolve("people.csv"), people);
            Path eventsFile = Files.writeString(folder.resolve("events.csv"), events);
            RecordFiles.Loaded loaded = RecordFiles.load(peopleFile, eventsFile, ZoneOffset.UTC);
            Files.delete(peopleFile);
            Files.delete(eventsFile);
            Files.delete(folder);
            if (!loaded.peopleProblems().isEmpty() || !loaded.eventProblems().isEmpty()) {
                throw new AssertionError(loaded.peopleProblems() + " " + loaded.eventProblems());
            }
            return loaded.population();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** A set from its parts besides format, id and name, with single quotes for double ones. */
    public static CriteriaSet set(Population records, String parts) {
        return set(records, parts, Map.of());
    }

    public static CriteriaSet set(Population records, String parts, Map<String, String> settings) {
        try {
            return CriteriaReader.read(List.of(document("set", parts)), settings, records.fields(), ZoneOffset.UTC);
        } catch (InvalidCriteria invalid) {
            throw new AssertionError(invalid.problems().toString(), invalid);
        }
    }

    /** The first of some documents, with the others as sets that it may name, their dials at their defaults. */
    public static CriteriaSet sets(Population records, List<? extends JsonNode> documents) {
        try {
            return CriteriaReader.read(
                    documents.stream()
                            .map(json -> new CriteriaSource(json.get("id").asString(), json))
                            .toList(),
                    Map.of(),
                    records.fields(),
                    ZoneOffset.UTC);
        } catch (InvalidCriteria invalid) {
            throw new AssertionError(invalid.problems().toString(), invalid);
        }
    }

    /** What is wrong with the first of some documents, as pointers. */
    public static List<String> pointers(Population records, CriteriaSource... documents) {
        try {
            CriteriaReader.read(List.of(documents), Map.of(), records.fields(), ZoneOffset.UTC);
            return List.of();
        } catch (InvalidCriteria invalid) {
            return invalid.problems().getOrDefault(documents[0].name(), List.of()).stream()
                    .map(Problem::pointer)
                    .toList();
        }
    }

    public static CriteriaSource document(String id, String parts) {
        String text = ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': 'A set', " + parts + "}")
                .replace('\'', '"');
        try {
            return CriteriaSource.parse(id, text);
        } catch (InvalidCriteria notJson) {
            throw new AssertionError(notJson.problems().toString(), notJson);
        }
    }
}
