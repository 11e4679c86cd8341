package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.Field;
import dipstick.core.records.Fields;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RowProblem;
import dipstick.core.records.RowSink;
import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;

/** Reads an uploaded file in chunks of good rows, and hands on what is wrong with the others. */
final class FileReading {
    /** Large enough for one look-up to serve many rows, small enough to stay in memory beside others. */
    private static final int CHUNK = 1000;

    private final ZoneId zone;
    private final Predicate<String> keptOut;
    private final Consumer<RowProblem> problems;
    private int leftOut;

    /** @param keptOut people, by id, whose rows are left out */
    FileReading(ZoneId zone, Predicate<String> keptOut, Consumer<RowProblem> problems) {
        this.zone = zone;
        this.keptOut = keptOut;
        this.problems = problems;
    }

    /** How many good rows were left out so far, since they are of somebody who is kept out. */
    int leftOut() {
        return leftOut;
    }

    /** Takes people with the fields that their file speaks of. */
    interface PeopleSink {
        void header(List<Field> customFields, Set<String> spokenOf);

        void chunk(List<PersonRecord> people);
    }

    void people(InputStream bytes, Fields known, PeopleSink sink) throws IOException {
        PeopleFile file = PeopleFile.open(bytes, zone, known);
        sink.header(file.customFields(), Set.copyOf(file.fieldNames()));
        Chunks<PersonRecord> chunks = new Chunks<>(PersonRecord::id, sink::chunk);
        file.forEach(chunks);
        chunks.flush();
    }

    /** Takes events, and before them the custom fields that their file has. */
    interface EventsSink {
        void header(List<Field> customFields);

        void chunk(List<EventRecord> events);
    }

    void events(InputStream bytes, Fields known, EventsSink sink) throws IOException {
        EventsFile file = EventsFile.open(bytes, zone, known);
        sink.header(file.customFields());
        Map<String, Long> lineOfId = new HashMap<>();
        Chunks<EventRecord> chunks = new Chunks<>(EventRecord::personId, sink::chunk);
        file.forEach(new RowSink<>() {
            @Override
            public void record(long line, EventRecord row) {
                Long before = row.id().isEmpty() ? null : lineOfId.putIfAbsent(row.id(), line);
                if (before == null) {
                    chunks.record(line, row);
                } else {
                    chunks.problem(
                            new RowProblem(line, "id", "“" + row.id() + "” is already the id of line " + before + "."));
                }
            }

            @Override
            public void problem(RowProblem problem) {
                chunks.problem(problem);
            }
        });
        chunks.flush();
    }

    private final class Chunks<T> implements RowSink<T> {
        private final Function<T, String> person;
        private final Consumer<List<T>> sink;
        private final List<T> chunk = new ArrayList<>();

        Chunks(Function<T, String> person, Consumer<List<T>> sink) {
            this.person = person;
            this.sink = sink;
        }

        @Override
        public void record(long line, T row) {
            if (keptOut.test(person.apply(row))) {
                leftOut++;
                return;
            }
            chunk.add(row);
            if (chunk.size() == CHUNK) {
                flush();
            }
        }

        @Override
        public void problem(RowProblem problem) {
            problems.accept(problem);
        }

        void flush() {
            if (!chunk.isEmpty()) {
                sink.accept(List.copyOf(chunk));
                chunk.clear();
            }
        }
    }
}
