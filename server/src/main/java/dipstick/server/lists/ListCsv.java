package dipstick.server.lists;

import dipstick.core.export.FieldCell;
import dipstick.core.export.ShownColumn;
import dipstick.core.population.Population;
import dipstick.server.people.PersonLine;
import dipstick.server.web.CsvTable;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A list as CSV, with the columns of the command line and who it is, named as files that are brought in name them; no way
 * to reach them. No cell is a formula.
 */
final class ListCsv {
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
    static String of(List<ShownColumn> shown, List<ListRow> rows, Population records) {
        return CsvTable.of(header(shown, records), rows.stream().map(row -> cells(shown, row, records)));
    }

    /** The names of the columns, as files that are brought in name them. */
    static List<String> header(List<ShownColumn> shown, Population records) {
        return Stream.concat(
                        OWN.stream(),
                        shown.stream()
                                .filter(column -> !OWN.contains(column.name()))
                                .map(column -> records.personFields()
                                        .find(column.name())
                                        .filter(_ -> !column.ofCriterion())
                                        .map(FieldCell::header)
                                        .orElse(column.name())))
                .toList();
    }

    private static List<String> cells(List<ShownColumn> shown, ListRow row, Population records) {
        PersonLine person = row.person();
        Stream<String> besides = IntStream.range(0, shown.size())
                .filter(column -> !OWN.contains(shown.get(column).name()))
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
        return Stream.concat(own, besides).toList();
    }
}
