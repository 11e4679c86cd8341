package dipstick.region.evaluate;

import dipstick.core.export.ListRow;
import dipstick.core.export.ReadingExport;
import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import dipstick.region.records.FolderName;
import java.io.IOException;
import java.util.List;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.schema.LogicalTypeAnnotation;
import org.apache.parquet.schema.MessageType;
import org.apache.parquet.schema.PrimitiveType.PrimitiveTypeName;
import org.apache.parquet.schema.Types;

/** What a practice gets, in a folder of its own: its list as CSV and as Parquet, and its levels. */
final class PracticeFiles {
    private static final MessageType LIST = list();

    private final OutFiles files;

    PracticeFiles(String out, String practice, Configuration storage) {
        this.files = new OutFiles(new Path(new Path(out, "practices"), FolderName.of(practice)), storage);
    }

    void write(Question question, PartAnswer answer) throws IOException {
        files.put("list.csv", ReadingExport.csv(answer.list()));
        files.put("levels.json", LevelFiles.json(question, answer));
        List<Object[]> rows = answer.list().stream().map(PracticeFiles::cells).toList();
        files.put("list.parquet", LIST, rows);
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
