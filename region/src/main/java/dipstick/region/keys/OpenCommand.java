package dipstick.region.keys;

import dipstick.command.Commands;
import dipstick.core.export.ListRow;
import dipstick.core.export.ReadingExport;
import dipstick.region.records.RegionFault;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.apache.hadoop.conf.Configuration;
import org.apache.hadoop.fs.Path;
import org.apache.parquet.crypto.ParquetCryptoRuntimeException;
import org.apache.parquet.example.data.Group;
import org.apache.parquet.hadoop.ParquetReader;
import org.apache.parquet.hadoop.example.GroupReadSupport;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code ./dipstick region open}: a practice's list as CSV, by its key. */
@Command(
        name = "open",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description = "Opens a practice's list.parquet with its key, and writes it as CSV.")
public final class OpenCommand implements Callable<Integer> {
    private final PrintWriter out;
    private final PrintWriter err;

    @Option(names = "--list", required = true, paramLabel = "FILE", description = "The practice's list.parquet.")
    private String list = "";

    @Option(names = "--key", required = true, paramLabel = "FILE", description = "The practice's key.")
    private String key = "";

    @Option(names = "--out", paramLabel = "FILE", description = "Where the CSV goes; by default it is printed.")
    private Optional<java.nio.file.Path> to = Optional.empty();

    public OpenCommand(PrintWriter out, PrintWriter err) {
        this.out = out;
        this.err = err;
    }

    @Override
    public Integer call() throws IOException {
        try {
            return Commands.answer(to, ReadingExport.csv(rows()), out, err);
        } catch (RegionFault fault) {
            err.println(fault.getMessage());
        } catch (FileNotFoundException missing) {
            err.println(list + ": there is no such file.");
        } catch (ParquetCryptoRuntimeException otherKey) {
            err.println(list + ": this key does not open it. It is another practice's, or the file was changed.");
        }
        return Commands.BAD_INPUT;
    }

    private List<ListRow> rows() throws IOException {
        Configuration storage = new Configuration();
        List<ListRow> rows = new ArrayList<>();
        try (ParquetReader<Group> reader = ParquetReader.builder(new GroupReadSupport(), new Path(list))
                .withConf(storage)
                .withDecryption(PracticeKeys.reading(new Path(key), storage))
                .build()) {
            for (Group row = reader.read(); row != null; row = reader.read()) {
                rows.add(new ListRow(
                        cell(row, "person_id"), cell(row, "state"), cell(row, "due_on"), cell(row, "band")));
            }
        }
        return rows;
    }

    private static String cell(Group row, String column) {
        return row.getFieldRepetitionCount(column) == 0 ? "" : row.getString(column, 0);
    }
}
