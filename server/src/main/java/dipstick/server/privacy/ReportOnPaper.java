package dipstick.server.privacy;

import dipstick.server.paper.Paper;
import dipstick.server.paper.Paper.Column;
import dipstick.server.paper.Paper.Table;
import dipstick.server.personal.PersonalData.Held;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** A person's report as they are given it, with a heading over each table. */
@Component
class ReportOnPaper {
    /** A wide column is as wide as so many narrow ones. */
    private static final int WIDEST = 4;

    private static final int LETTERS_OF_NARROW = 12;

    private final Paper paper;

    ReportOnPaper(Paper paper) {
        this.paper = paper;
    }

    byte[] print(PersonReport report) {
        List<Table> tables = report.held().stream().map(this::table).toList();
        return paper.tables(
                "All that " + (report.practice().isBlank() ? "the practice" : report.practice()) + " holds of "
                        + report.person(),
                tables,
                "Nothing is held.",
                report.madeBy() + ", " + report.madeAt() + ", " + report.asked().words());
    }

    private Table table(Held held) {
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < held.columns().size(); i++) {
            columns.add(new Column(held.columns().get(i), width(held, i)));
        }
        return new Table(
                held.title(),
                columns,
                held.rows().stream()
                        .map(row -> row.stream().map(this::printable).toList())
                        .toList());
    }

    private static int width(Held held, int column) {
        int longest = held.rows().stream()
                .mapToInt(row -> row.get(column).length())
                .max()
                .orElse(0);
        return Math.clamp(longest / LETTERS_OF_NARROW, 1, WIDEST);
    }

    private String printable(String text) {
        return paper.unprintable(text).isEmpty() ? text : "(cannot be printed here; the report as JSON has it)";
    }
}
