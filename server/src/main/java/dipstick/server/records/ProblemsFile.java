package dipstick.server.records;

import de.siegmar.fastcsv.writer.CsvWriter;
import dipstick.core.records.RowProblem;
import dipstick.server.web.SafeCell;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Writes down every bad line of a file, and keeps the first ones at hand. */
final class ProblemsFile implements AutoCloseable {
    private static final int MOST_AT_HAND = 200;

    private final CsvWriter csv;
    private final List<RowProblem> first = new ArrayList<>();
    private long lastLine;
    private int lines;

    ProblemsFile(Path path) throws IOException {
        this.csv = CsvWriter.builder().build(path);
        csv.writeRecord("line", "column", "reason");
    }

    void add(RowProblem problem) {
        csv.writeRecord(String.valueOf(problem.line()), SafeCell.of(problem.column()), SafeCell.of(problem.reason()));
        if (first.size() < MOST_AT_HAND) {
            first.add(problem);
        }
        if (problem.line() != lastLine) {
            lastLine = problem.line();
            lines++;
        }
    }

    List<RowProblem> first() {
        return List.copyOf(first);
    }

    int lines() {
        return lines;
    }

    @Override
    public void close() throws IOException {
        csv.close();
    }
}
