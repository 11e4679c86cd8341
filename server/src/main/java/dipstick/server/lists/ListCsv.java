package dipstick.server.lists;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dipstick.core.export.FieldCell;
import dipstick.core.population.Population;
import dipstick.server.people.PersonLine;
import dipstick.server.web.SafeCell;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A list as CSV, with the columns of the command line and who it is, named as files that are brought in name them; no way
 * to reach them. No cell is a formula.
 */
final class ListCsv {
    /** What tells a spreadsheet that the file is UTF-8. */
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private static final List<String> OWN = List.of(
            "id",
            "state",
            "due_on",
            "band",
            "overdue_days",
            "family_name",
            "given_name",
            "birth_date",
            "provider",
            "site",
            "do_not_contact");

    private ListCsv() {}

    /** In the order of the rows. */
    static String of(List<String> shown, List<ListRow> rows, Population records) {
        StringWriter text = new StringWriter();
        text.write(BYTE_ORDER_MARK);
        try (CsvWriter csv =
                CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
            csv.writeRecord(header(shown, records).stream().map(SafeCell::of).toList());
            rows.forEach(row -> csv.writeRecord(cells(shown, row, records)));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    /** The names of the columns, as files that are brought in name them. */
    static List<String> header(List<String> shown, Population records) {
        return Stream.concat(
                        OWN.stream(),
                        shown.stream()
                                .filter(column -> !OWN.contains(column))
                                .map(name -> records.personFields()
                                        .find(name)
                                        .map(FieldCell::header)
                                        .orElse(name)))
                .toList();
    }

    private static List<String> cells(List<String> shown, ListRow row, Population records) {
        PersonLine person = row.person();
        Stream<String> besides = IntStream.range(0, shown.size())
                .filter(column -> !OWN.contains(shown.get(column)))
                .mapToObj(row.shown()::get);
        Stream<String> own = Stream.of(
                person.id(),
                row.state().word(),
                row.due(),
                row.band(),
                row.overdueDays().map(String::valueOf).orElse(""),
                PersonLine.field(records, person.id(), "family_name"),
                PersonLine.field(records, person.id(), "given_name"),
                PersonLine.birthDate(records, person.id()),
                person.provider(),
                person.site(),
                person.doNotContact() ? "yes" : "");
        return Stream.concat(own, besides).map(SafeCell::of).toList();
    }
}
