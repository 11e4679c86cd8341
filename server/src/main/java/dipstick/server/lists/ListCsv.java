package dipstick.server.lists;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dipstick.server.people.PersonLine;
import dipstick.server.web.SafeCell;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * A list as CSV: the columns of the command line first, then who it is; no way to reach them; and who took it out. No
 * cell is a formula.
 */
final class ListCsv {
    /** What tells a spreadsheet that the file is UTF-8. */
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private ListCsv() {}

    static String of(List<ListRow> rows, String footer) {
        StringWriter text = new StringWriter();
        text.write(BYTE_ORDER_MARK);
        try (CsvWriter csv =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
            csv.writeRecord(
                    "person_id",
                    "state",
                    "due_on",
                    "band",
                    "overdue_days",
                    "name",
                    "born",
                    "provider",
                    "site",
                    "do_not_contact");
            rows.stream()
                    .sorted(Comparator.comparing(row -> row.person().id()))
                    .forEach(row -> csv.writeRecord(cells(row)));
            csv.writeRecord(SafeCell.of(footer));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    private static List<String> cells(ListRow row) {
        PersonLine person = row.person();
        // The days overdue are a number of ours and may begin with a minus.
        Stream<String> first = Stream.of(person.id(), row.state().word(), row.due(), row.band());
        Stream<String> last = Stream.of(
                person.name(), person.born(), person.provider(), person.site(), person.doNotContact() ? "yes" : "");
        String days = row.overdueDays().map(String::valueOf).orElse("");
        return Stream.of(first.map(SafeCell::of), Stream.of(days), last.map(SafeCell::of))
                .flatMap(cells -> cells)
                .toList();
    }
}
