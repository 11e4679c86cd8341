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
        ListLayout layout = layout(set, records);
        assertThat(layout.header())
                .extracting(ShownColumn::name)
                .containsExactly("birth_date", "state", "site", "band");
        assertThat(ordered(set).stream().map(layout::cells))
                .containsExactly(
                        List.of("1960", "on", "", ""),
                        List.of("1940-03-04", "on", "Mill Lane", ""),
                        List.of("1950-01-02", "on", "Harbour Row", ""),
                        List.of("", "check", "Mill Lane", ""));
    }

    private List<ListMember> ordered(CriteriaSet set) {
        return ordered(set, records);
    }

    private static List<ListMember> ordered(CriteriaSet set, Population records) {
        Evaluator evaluator = new Evaluator(records, Records.TODAY);
        return layout(set, records).ordered(evaluator.members(evaluator.read(set)));
    }

    private static ListLayout layout(CriteriaSet set, Population records) {
        Evaluator evaluator = new Evaluator(records, Records.TODAY);
        return new ListLayout(set, evaluator, evaluator.read(set).list().possible());
    }

    private static final String BLOOD_PRESSURES = "'termSets': [{'id': 'bp', 'name': 'blood pressure',"
            + " 'members': [{'code': 'BP'}]}], 'include': [{'id': 'asked', 'test': {'events': {'terms': ['bp'],"
            + " 'window': {'last': 'P2Y'}}, 'count': {'atLeast': 0}%s}}]";

    /** As of {@link Records#TODAY}, 23 November 2026. */
    private final Population measured = Records.of("""
            id,family_name
            a,Ash
            b,Birch
            c,Cedar
            d,Dale
            """, """
            person_id,kind,code,on,value,unit,value_text
            a,result,BP,2026-01-05,150,mmHg,
            a,result,BP,2026-03-05,142.50,mmHg,
            a,result,BP,2026-03-05,,,
            a,result,BP,2023-03-05,190,mmHg,
            b,result,BP,2026,120,,
            b,result,BP,2026-10-01,99,mmHg,
            c,result,BP,2026-11-23,,,>300
            c,result,BP,,140,,
            d,result,XX,2026-11-23,1,,
            """);

    @ParameterizedTest(name = "{0} per {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "count     | record | 3;2;1;0",
                "count     | day    | 2;1;1;0",
                "latest    | record | 2026-03-05;2026-11-23;2026-11-23;",
                "earliest  | record | 2026-01-05;2026-01-01;2026-11-23;",
                "value     | record | 142.5 mmHg;120;>300;",
                "daysSince | record | 263;0;0;",
            })
    void a_column_of_a_criterion_says_what_it_finds_for_certain(String column, String per, String cells) {
        CriteriaSet set = Records.set(
                measured,
                BLOOD_PRESSURES.formatted(", 'per': '" + per + "'") + ", 'show': [{'criterion': 'asked', 'column': '"
                        + column + "'}]");
        ListLayout layout = layout(set, measured);
        assertThat(ordered(set, measured).stream()
                        .map(member -> layout.cells(member).getFirst()))
                .containsExactly(cells.split(";", -1));
    }

    @Test
    void columns_of_criteria_are_called_by_what_they_count_each_by_its_own_name() {
        CriteriaSet set = Records.set(
                measured,
                BLOOD_PRESSURES.formatted("") + ", 'exclude': [{'id': 'again', 'label': 'Blood pressure',"
                        + " 'test': {'events': {}, 'count': {'atLeast': 99}}}, {'id': 'visited', 'test': {'events':"
                        + " {'kinds': ['visit', 'contact']}}}, {'id': 'any', 'test': {'events': {}, 'count':"
                        + " {'atLeast': 99}}}], 'show': ['family_name', {'criterion': 'asked', 'column': 'latest'},"
                        + " {'criterion': 'again', 'column': 'latest'}, {'criterion': 'visited', 'column': 'count'},"
                        + " {'criterion': 'any', 'column': 'daysSince'}]");
        assertThat(layout(set, measured).header())
                .containsExactly(
                        new ShownColumn("family_name", false),
                        new ShownColumn("Blood pressure: latest", true),
                        new ShownColumn("Blood pressure (2): latest", true),
                        new ShownColumn("Contact or visit: how many", true),
                        new ShownColumn("Records: days since", true));
    }

    @ParameterizedTest(name = "by {0}, descending {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "count     | false | d c b a",
                "latest    | true  | b c a d",
                "earliest  | false | b a c d",
                "value     | false | b a c d",
                "value     | true  | a b c d",
                "daysSince | true  | a b c d",
            })
    void a_list_is_ordered_by_it_with_those_without_last(String column, boolean descending, String ids) {
        CriteriaSet set = Records.set(
                measured,
                BLOOD_PRESSURES.formatted("") + ", 'order': [{'by': {'criterion': 'asked', 'column': '" + column
                        + "'}, 'descending': " + descending + "}]");
        assertThat(ordered(set, measured).stream().map(member -> measured.idOf(member.person())))
                .containsExactly(ids.split(" "));
    }

    @Test
    void the_first_so_many_of_those_on_the_list_are_shown_with_all_who_are_to_check() {
        CriteriaSet set = Records.set(records, OVER_60 + ", 'order': [{'by': 'state', 'descending': true}], 'top': 2");
        ListLayout layout = layout(set, records);
        assertThat(layout.top()).contains(2);
        assertThat(layout.firstOf(ordered(set)).stream().map(member -> records.idOf(member.person())))
                .containsExactly("a", "b", "c");
    }
}
