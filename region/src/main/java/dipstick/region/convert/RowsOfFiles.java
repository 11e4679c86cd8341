package dipstick.region.convert;

import dipstick.core.records.Field;
import dipstick.core.records.RecordFields;
import java.io.IOException;
import java.io.Serializable;
import java.time.ZoneId;
import java.util.Iterator;
import java.util.List;
import org.apache.spark.TaskContext;
import org.apache.spark.broadcast.Broadcast;
import org.apache.spark.sql.Row;
import org.apache.spark.util.CollectionAccumulator;
import org.apache.spark.util.SerializableConfiguration;

/** Reads files where the work is done. */
record RowsOfFiles(
        List<Field> customOfPeople,
        List<Field> customOfEvents,
        ZoneId zone,
        Broadcast<SerializableConfiguration> storage,
        CollectionAccumulator<String> problems)
        implements Serializable {
    private static final int MOST_PROBLEMS = 100;

    Iterator<Row> of(SourceFile file) throws IOException {
        int[] told = new int[1];
        SourceRows rows = new SourceRows(
                file,
                RecordFields.withCustom(customOfPeople, customOfEvents),
                zone,
                storage.value().value(),
                problem -> {
                    // A file that is something else would tell of millions.
                    if (told[0]++ < MOST_PROBLEMS) {
                        problems.add(problem);
                    }
                });
        TaskContext.get().addTaskCompletionListener(_ -> {
            try {
                rows.close();
            } catch (IOException unread) {
                throw new java.io.UncheckedIOException(unread);
            }
        });
        return rows;
    }
}
