package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.Field;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.records.RowProblem;
import dipstick.core.records.RowSink;
import dipstick.core.records.UnreadableFile;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;

/** Reads a file of people and a file of events into a population. */
public final class RecordFiles {
    private RecordFiles() {}

    /**
     * What came of it.
     *
     * @param population of the good lines
     * @param waiting how many events there are of each person who is not in the people file, by id
     * @param peopleProblems what is wrong with lines of the people file; they are not in the population
     */
    public record Loaded(
            Population population,
            Map<String, Integer> waiting,
            List<RowProblem> peopleProblems,
            List<RowProblem> eventProblems) {}

    public static Loaded load(Path people, Path events, ZoneId zone) throws IOException {
        List<RowProblem> peopleProblems = new ArrayList<>();
        List<RowProblem> eventProblems = new ArrayList<>();
        List<PersonRecord> persons = new ArrayList<>();
        List<Field> ofPeople = people(people, zone, persons, peopleProblems);
        PopulationBuilder builder = events(events, zone, eventProblems, ofEvents -> {
            PopulationBuilder empty = new PopulationBuilder(RecordFields.withCustom(ofPeople, ofEvents));
            persons.forEach(empty::add);
            return empty;
        });
        return new Loaded(builder.seal(), builder.waiting(), peopleProblems, eventProblems);
    }

    /** Reads the people and says what custom fields they have. */
    private static List<Field> people(Path path, ZoneId zone, List<PersonRecord> people, List<RowProblem> problems)
            throws IOException {
        try (InputStream bytes = new BufferedInputStream(Files.newInputStream(path))) {
            PeopleFile file = PeopleFile.open(bytes, zone);
            Consumer<PersonRecord> add = people::add;
            file.forEach(RowSink.of(add, problems::add));
            return file.customFields();
        } catch (UnreadableFile unreadable) {
            problems.add(unreadable.problem());
            return List.of();
        }
    }

    /** @param builder with all people, once the custom fields of events are known */
    private static PopulationBuilder events(
            Path path, ZoneId zone, List<RowProblem> problems, Function<List<Field>, PopulationBuilder> builder)
            throws IOException {
        try (InputStream bytes = new BufferedInputStream(Files.newInputStream(path))) {
            EventsFile file = EventsFile.open(bytes, zone);
            PopulationBuilder filled = builder.apply(file.customFields());
            Consumer<EventRecord> add = filled::add;
            file.forEach(RowSink.of(add, problems::add));
            return filled;
        } catch (UnreadableFile unreadable) {
            problems.add(unreadable.problem());
            return builder.apply(List.of());
        }
    }
}
