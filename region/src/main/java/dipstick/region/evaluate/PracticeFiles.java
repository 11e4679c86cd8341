package dipstick.region.evaluate;

import dipstick.core.export.ListRow;
import dipstick.core.export.ReadingExport;
import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import dipstick.region.keys.PracticeKeys;
import dipstick.region.records.FolderName;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.schema.LogicalTypeAnnotation;
import org.apache.parquet.schema.MessageType;
import org.apache.parquet.schema.PrimitiveType.PrimitiveTypeName;
import org.apache.parquet.schema.Types;

/**
 * What a practice gets, in a folder of its own: its list as CSV and as Parquet, and its levels. With a key, who is on the list can
 * be read with that alone, and nothing is written as CSV.
 */
final class PracticeFiles {
    private static final MessageType LIST = list();
    private static final List<String> NAMING = List.of("person_id");

    private final String practice;
    private final OutFiles files;
    private final Configuration storage;

    PracticeFiles(String out, String practice, Configuration storage) {
        this.practice = practice;
        this.files = new OutFiles(new Path(new Path(out, "practices"), FolderName.of(practice)), storage);
        this.storage = storage;
    }

    void write(Question question, PartAnswer answer, Optional<PracticeKeys> keys) throws IOException {
        files.put("levels.json", LevelFiles.json(question, answer));
        List<Object[]> rows = answer.list().stream().map(PracticeFiles::cells).toList();
        if (keys.isPresent()) {
            files.put("list.parquet", LIST, rows, Optional.of(keys.get().writing(practice, NAMING, storage)));
        } else {
            files.put("list.csv", ReadingExport.csv(answer.list()));
            files.put("list.parquet", LIST, rows, Optional.empty());
        }
    }

    private static Object[] cells(ListRow row) {
        return row.cells().stream().map(cell -> cell.isEmpty() ? null : cell).toArray();
    }

    private static MessageType list() {
        Types.MessageTypeBuilder schema = Types.buildMessage();
        for (String column : ListRow.COLUMNS) {
            schema.optional(PrimitiveTypeName.BINARY)
                    .as(LogicalTypeAnnotation.stringType())
                    .named(column);
        }
        return schema.named("list");
    }
}
