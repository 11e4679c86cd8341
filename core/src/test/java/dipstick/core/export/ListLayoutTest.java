package dipstick.core.export;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.population.Population;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ListLayoutTest {
    private static final String OVER_60 = "'include': [{'id': 'old', 'test': {'age': {'from': 60}}}]";

    private final Population records = Records.of("""
            id,birth_date,site,language
            d,1950-01-02,Harbour Row,pt
            b,1960,,
            a,,Mill Lane,
            c,1940-03-04,Mill Lane,en
            """, "person_id,kind,on\nc,visit,2020-01-01\n");

    @ParameterizedTest(name = "ordered by {0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "[]                                                      | b c d a",
                "[{'by': 'birth_date'}]                                  | c d b a",
                "[{'by': 'birth_date', 'descending': true}]              | b d c a",
                "[{'by': 'site'}]                                        | d a c b",
                "[{'by': 'site', 'descending': true}, {'by': 'language'}] | c a d b",
                "[{'by': 'state', 'descending': true}]                   | a b c d",
            })
    void a_list_stands_as_its_set_orders_it_with_what_is_not_on_record_last(String order, String ids) {
        CriteriaSet set = Records.set(records, OVER_60 + ", 'order': " + order);
        assertThat(ordered(set).stream().map(member -> records.idOf(member.person())))
                .containsExactly(ids.split(" "));
    }

    @Test
    void what_is_shown_besides_is_written_as_it_is_on_record() {
        CriteriaSet set = Records.set(records, OVER_60 + ", 'show': ['birth_date', 'state', 'site', 'band']");
        ListLayout layout = new ListLayout(set, records);
        assertThat(layout.header()).containsExactly("birth_date", "state", "site", "band");
        assertThat(ordered(set).stream().map(layout::cells))
                .containsExactly(
                        List.of("1960", "on", "", ""),
                        List.of("1940-03-04", "on", "Mill Lane", ""),
                        List.of("1950-01-02", "on", "Harbour Row", ""),
                        List.of("", "check", "Mill Lane", ""));
    }

    private List<ListMember> ordered(CriteriaSet set) {
        Evaluator evaluator = new Evaluator(records, Records.TODAY);
        return new ListLayout(set, records).ordered(evaluator.members(evaluator.read(set)));
    }
}
