package dipstick.core.population;

import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.Fields;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.PersonRecord;
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
        PopulationBuilder builder = people(people, zone, peopleProblems);
        events(events, zone, builder, eventProblems);
        return new Loaded(builder.seal(), builder.waiting(), peopleProblems, eventProblems);
    }

    private static PopulationBuilder people(Path path, ZoneId zone, List<RowProblem> problems) throws IOException {
        try (InputStream bytes = new BufferedInputStream(Files.newInputStream(path))) {
            PeopleFile file = PeopleFile.open(bytes, zone);
            PopulationBuilder builder = new PopulationBuilder(Fields.PERSON.with(file.customFields()));
            Consumer<PersonRecord> add = builder::add;
            file.forEach(sink(add, problems));
            return builder;
        } catch (UnreadableFile unreadable) {
            problems.add(unreadable.problem());
            return new PopulationBuilder(Fields.PERSON);
        }
    }

    private static void events(Path path, ZoneId zone, PopulationBuilder builder, List<RowProblem> problems)
            throws IOException {
        try (InputStream bytes = new BufferedInputStream(Files.newInputStream(path))) {
            Consumer<EventRecord> add = builder::add;
            EventsFile.open(bytes, zone).forEach(sink(add, problems));
        } catch (UnreadableFile unreadable) {
            problems.add(unreadable.problem());
        }
    }

    private static <T> RowSink<T> sink(Consumer<T> good, List<RowProblem> problems) {
        return new RowSink<>() {
            @Override
            public void record(long line, T row) {
                good.accept(row);
            }

            @Override
            public void problem(RowProblem problem) {
                problems.add(problem);
            }
        };
    }
}
