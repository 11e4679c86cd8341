package dipstick.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.evaluate.ListMember.State;
import dipstick.core.export.ShownColumn;
import dipstick.core.population.Population;
import dipstick.core.population.PopulationBuilder;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.time.DateRange;
import dipstick.server.people.PersonLine;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ListCsvTest {
    @Test
    void no_cell_is_a_formula_and_columns_are_named_as_files_that_come_in_name_them() {
        PopulationBuilder builder = new PopulationBuilder(RecordFields.KNOWN);
        builder.add(new PersonRecord(
                "=1+1",
                Map.of(
                        "id", new FieldValue.OfText("=1+1"),
                        "family_name", new FieldValue.OfText("@Marl, \"Tam\""),
                        "birth_date", new FieldValue.OfDate(DateRange.day(LocalDate.of(1950, 2, 3))))));
        Population records = builder.seal();
        PersonLine person = new PersonLine(
                "=1+1", "@Marl, \"Tam\"", "3 Feb 1950", "76", "+44 1632 960001", "-Dr Quillon", "Mill Lane", true);
        ListRow row = new ListRow(
                person,
                State.ON,
                "2026-01-01",
                Optional.of(326L),
                "Late",
                false,
                List.of("01632 960001", "2026-01-01"));
        ListRow early = new ListRow(
                new PersonLine("a", "A", "", "", "", "", "", false),
                State.CHECK,
                "2027-01-01",
                Optional.of(-39L),
                "",
                false,
                List.of("", ""));
        List<ShownColumn> shown = List.of(new ShownColumn("phone", false), new ShownColumn("due_on", false));
        assertThat(ListCsv.of(shown, List.of(row, early), records))
                .isEqualTo("\uFEFFid,state,due_on,band,overdue_days,family_name,given_name,birth_date,provider,site,"
                        + "do_not_contact,phone\r\n"
                        + "'=1+1,on,2026-01-01,Late,326,\"'@Marl, \"\"Tam\"\"\",,1950-02-03,'-Dr Quillon,Mill Lane,yes,01632 960001\r\n"
                        + "a,check,2027-01-01,,-39,,,,,,,\r\n");
    }
}
