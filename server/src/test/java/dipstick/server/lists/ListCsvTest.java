package dipstick.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.evaluate.ListMember.State;
import dipstick.server.people.PersonLine;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ListCsvTest {
    @Test
    void no_cell_is_a_formula_and_the_columns_of_the_command_line_come_first() {
        PersonLine person = new PersonLine(
                "=1+1", "@Marl, \"Tam\"", "1950", "76", "+44 1632 960001", "-Dr Quillon", "Mill Lane", true);
        ListRow row = new ListRow(person, State.ON, "2026-01-01", Optional.of(326L), "Late");
        ListRow early = new ListRow(
                new PersonLine("a", "A", "", "", "", "", "", false), State.CHECK, "2027-01-01", Optional.of(-39L), "");
        assertThat(ListCsv.of(List.of(row, early), "=Late · Orla"))
                .isEqualTo("\uFEFFperson_id,state,due_on,band,overdue_days,name,born,provider,site,do_not_contact\r\n"
                        + "'=1+1,on,2026-01-01,Late,326,\"'@Marl, \"\"Tam\"\"\",1950,'-Dr Quillon,Mill Lane,yes\r\n"
                        + "a,check,2027-01-01,,-39,A,,,,\r\n'=Late · Orla\r\n");
    }
}
