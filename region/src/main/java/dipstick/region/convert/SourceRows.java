package dipstick.region.convert;

import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.Field;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.records.RowProblem;
import dipstick.core.records.RowSink;
import dipstick.core.records.UnreadableFile;
import dipstick.region.records.CellValues;
import dipstick.region.records.Side;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Queue;
import java.util.function.Consumer;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import org.apache.spark.sql.Row;
import org.apache.spark.sql.RowFactory;

/**
 * The rows of a file, read as {@code evaluate} reads it, one by one: whose they are, and their cells. What is wrong is told to
 * whoever asks for them.
 */
final class SourceRows implements Iterator<Row>, AutoCloseable {
    /** The column of people that says whose they are. */
    static final String PRACTICE = "practice";

    private final SourceFile source;
    private final List<Field> fields;
    private final Consumer<String> problems;
    private final InputStream bytes;
    private final Next rows;
    private final Queue<Row> ready = new ArrayDeque<>();

    private interface Next {
        boolean hand();
    }

    /** @param region the fields of all files together */
    SourceRows(SourceFile source, RecordFields region, ZoneId zone, Configuration storage, Consumer<String> problems)
            throws IOException {
        this.source = source;
        this.fields = source.side().of(region);
        this.problems = problems;
        Path path = new Path(source.path());
        this.bytes = new BufferedInputStream(path.getFileSystem(storage).open(path));
        this.rows = switch (source.side()) {
            case PEOPLE -> {
                PeopleFile file = PeopleFile.open(bytes, zone, region.people());
                RowSink<PersonRecord> sink = sink(person -> add(person.id(), person.values()));
                yield () -> file.next(sink);
            }
            case EVENTS -> {
                EventsFile file = EventsFile.open(bytes, zone, region.events());
                RowSink<EventRecord> sink = sink(event -> add(event.personId(), event.values()));
                yield () -> file.next(sink);
            }
        };
    }

    private <T> RowSink<T> sink(Consumer<T> good) {
        return RowSink.of(good, problem -> problems.accept(said(problem)));
    }

    private String said(RowProblem problem) {
        String column = problem.column().isEmpty() ? "" : problem.column() + ": ";
        return source.path() + ":" + problem.line() + ": " + column + problem.reason();
    }

    private void add(String person, Map<String, FieldValue> values) {
        String practice = source.practice().isEmpty() && values.get(PRACTICE) instanceof FieldValue.OfText(String named)
                ? named
                : source.practice();
        if (practice.isEmpty() && source.side() == Side.PEOPLE) {
            problems.accept(source.path() + ": " + person + ": the practice is blank; every person is of one.");
            return;
        }
        List<Object> cells = new ArrayList<>(List.of(practice, person));
        cells.addAll(Arrays.asList(CellValues.cells(fields, values)));
        ready.add(RowFactory.create(cells.toArray()));
    }

    @Override
    public boolean hasNext() {
        try {
            while (ready.isEmpty() && rows.hand()) {
                // A row that is wrong was told, and is passed over.
            }
        } catch (UnreadableFile unreadable) {
            problems.accept(said(unreadable.problem()));
        }
        return !ready.isEmpty();
    }

    @Override
    public Row next() {
        if (!hasNext()) {
            throw new NoSuchElementException("There are no more rows in " + source.path());
        }
        return ready.remove();
    }

    @Override
    public void close() throws IOException {
        bytes.close();
    }
}
