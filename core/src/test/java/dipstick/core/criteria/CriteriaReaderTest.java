package dipstick.core.criteria;

import static dipstick.core.Records.document;
import static dipstick.core.Records.pointers;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dipstick.core.Records;
import dipstick.core.population.Population;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CriteriaReaderTest {
    private static final Population NOBODY = Records.of("id,frailty:number,seen:date,aid:flag\n", "person_id,kind\n");

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "{'field': 'sex'}                                        | /include/0/test",
                "{'field': 'sex', 'in': 'female'}                        | /include/0/test/in",
                "{'field': 'sex', 'in': ['a', ' ']}                      | /include/0/test/in/1",
                "{'field': 'frailty', 'in': ['3']}                       | /include/0/test/in/0",
                "{'field': 'frailty', 'above': 1, 'in': [2]}             | /include/0/test",
                "{'field': 'seen', 'from': '2026-02-30'}                 | /include/0/test/from",
                "{'field': 'seen', 'missing': 'yes'}                     | /include/0/test/missing",
                "{'field': 'aid', 'is': 'yes'}                           | /include/0/test/is",
                "{'field': 'sex', 'unit': 'kg', 'in': []}                | /include/0/test/unit",
                "{'age': {}}                                             | /include/0/test/age",
                "{'age': {'from': -1}}                                   | /include/0/test/age/from",
                "{'age': {'from': 1.5}}                                  | /include/0/test/age/from",
                "{'age': {'from': 18}, 'count': {'atLeast': 1}}          | /include/0/test/count",
                "{'atLeast': 2}                                          | /include/0/test",
                "{'of': []}                                              | /include/0/test",
                "{}                                                      | /include/0/test",
                "[]                                                      | /include/0/test",
                "{'all': [{'any': [{'nonsense': 1}]}]}                   | /include/0/test/all/0/any/0/nonsense",
                "{'events': {}, 'count': {'atLeast': 1, 'atMost': 2}}    | /include/0/test/count",
                "{'events': {}, 'count': {'none': false}}                | /include/0/test/count/none",
                "{'events': {}, 'per': 'week'}                           | /include/0/test/per",
                "{'events': {'active': false}}                           | /include/0/test/events/active",
                "{'events': {'window': {}}}                              | /include/0/test/events/window",
                "{'events': {'window': {'last': 'P1Y', 'ever': true}}}   | /include/0/test/events/window",
                "{'events': {'window': {'dates': ['2026-01-01']}}}       | /include/0/test/events/window/dates",
                "{'events': {'window': {'sinceStartOf': 'decade'}}}      | /include/0/test/events/window/sinceStartOf",
                "{'latest': {}}                                          | /include/0/test",
                "{'after': {}, 'expect': {}, 'within': 'P1M', 'notBefore': 'P2M'} | /include/0/test",
                "{'member': 'set'}                                       | /include/0/test/member",
            })
    void a_mistake_in_a_test_is_pointed_at(String test, String pointer) {
        assertThat(pointers(NOBODY, document("set", "'include': [{'id': 'a', 'test': " + test + "}]")))
                .containsExactly(pointer);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "'include': {}                                                    | /include",
                "'include': [{'id': 'a'}]                                         | /include/0",
                "'include': [{'test': {'all': []}}]                               | /include/0",
                "'include': [{'id': '', 'test': {'all': []}}]                     | /include/0/id",
                "'include': [{'id': 'a', 'unsure': 'maybe', 'test': {'all': []}}] | /include/0/unsure",
                "'population': 'dead'                                             | /population",
                "'shouldHave': {'of': []}                                         | /shouldHave",
                "'shouldHave': {'rule': 'most', 'of': []}                         | /shouldHave/rule",
                "'shouldHave': {'rule': {'atLeast': -1}, 'of': []}                | /shouldHave/rule/atLeast",
                "'bands': [{'name': 'x', 'when': {'overdue': 'late'}}]            | /bands/0/when/overdue",
                "'bands': [{'name': 'x', 'when': {'overdue': 'never', 'all': []}}] | /bands/0/when/all",
                "'show': ['shoe_size']                                            | /show/0",
                "'show': [{'criterion': 'nobody', 'column': 'count'}]             | /show/0/criterion",
                "'show': [{'criterion': 7, 'column': 'count'}]                    | /show/0/criterion",
                "'show': [{'column': 'count'}]                                    | /show/0",
                "'order': [{'by': {'column': 'latest'}}]                          | /order/0/by",
                "'show': [5]                                                      | /show/0",
                "'top': 0                                                         | /top",
                "'top': 1.5                                                       | /top",
                "'top': '5'                                                       | /top",
                "'order': [{'by': 'shoe_size'}]                                   | /order/0/by",
                "'termSets': [{'id': 't', 'members': [{'code': 'a', 'text': 'b'}]}] | /termSets/0/members/0",
                "'termSets': [{'id': 't', 'members': [{'text': 'a', 'system': 'b'}]}] | /termSets/0/members/0/system",
                "'rosters': [{'id': 'r', 'key': ['sex'], 'rows': [['a', 'b']]}]   | /rosters/0/rows/0",
                "'rosters': [{'id': 'r', 'key': ['seen'], 'rows': [['soon']]}]    | /rosters/0/rows/0/0",
                "'rosters': [{'id': 'r', 'key': ['shoe_size'], 'rows': []}]       | /rosters/0/key/0",
                "'dials': [{'name': 'd', 'type': 'period', 'default': '6M'}]      | /dials/0/default",
                "'dials': [{'name': 'd', 'type': 'colour', 'default': '6M'}]      | /dials/0/type",
                "'dials': [{'name': 'd', 'type': 'text', 'default': 'a', 'choicesFrom': 'shoe'}] | /dials/0/choicesFrom",
            })
    void a_mistake_in_the_document_is_pointed_at(String parts, String pointer) {
        assertThat(pointers(NOBODY, document("set", parts))).containsExactly(pointer);
    }

    @Test
    void a_dial_of_another_type_than_its_spot_needs_is_pointed_at() {
        assertThat(pointers(NOBODY, document("set", """
                'dials': [{'name': 'd', 'type': 'number', 'default': 3}],
                'include': [{'id': 'a', 'test': {'events': {'window': {'last': {'dial': 'd'}}}}}]"""))).containsExactly("/include/0/test/events/window/last/dial");
    }

    @Test
    void what_comes_from_after_through_is_judged_with_the_dials_filled_in() {
        String parts = """
                'dials': [{'name': 'old', 'type': 'number', 'default': 40}],
                'include': [{'id': 'a', 'test': {'age': {'from': {'dial': 'old'}, 'through': 60}}}]""";
        assertThat(pointers(NOBODY, document("set", parts))).isEmpty();
        assertThat(problemsOf(parts, Map.of("old", "70"))).containsExactly("/include/0/test/age");
    }

    @Test
    void settings_that_do_not_fit_are_pointed_at() {
        String parts = "'dials': [{'name': 'every', 'type': 'period', 'default': 'P6M', 'choices': ['P6M', 'P1Y']}]";
        assertThat(problemsOf(parts, Map.of("every", "P12M"))).containsExactly("/dials/0");
        assertThat(problemsOf(parts, Map.of("every", "often"))).containsExactly("/dials/0");
        assertThat(problemsOf(parts, Map.of("often", "P1Y"))).containsExactly("/dials");
        assertThat(problemsOf(parts, Map.of("every", "P1Y"))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "number | [0, 2.5]                      | 2.50, 25e-1, 0, -0, 0.0 | 2, two",
                "date   | ['2026-02-01', '2026-03']     | 2026-02-01, 2026-03     | 2026-03-01, 2026, March",
                "text   | ['Mill Lane', 'ﬁfth']         | mill  lane, FIFTH       | Mill, ''",
                "texts  | ['Mill Lane', 'High Street']  | mill lane, High Street;MILL LANE | Mill Lane;Elsewhere, ''",
                "period | ['P6M', 'P1Y']                | P6M, P1Y                | P12M, p6m, 6M",
            })
    void a_setting_meets_a_choice_as_its_type_compares(String type, String choices, String among, String not) {
        String start = choices.replaceAll("^\\[([^,]+),.*", type.equals("texts") ? "[$1]" : "$1");
        String parts =
                "'dials': [{'name': 'd', 'type': '%s', 'default': %s, 'choices': %s}]".formatted(type, start, choices);
        for (String setting : among.split(", ")) {
            assertThat(problemsOf(parts, Map.of("d", setting))).as(setting).isEmpty();
        }
        for (String setting : not.split(", ")) {
            assertThat(problemsOf(parts, Map.of("d", setting.replace("''", ""))))
                    .as(setting)
                    .containsExactly("/dials/0");
        }
        assertThat(pointers(NOBODY, document("set", parts.replace("'default': " + start, "'default': 'elsewhere'"))))
                .as("a default is a choice too")
                .containsExactly("/dials/0/default");
    }

    @Test
    void two_sets_of_one_id_and_circles_are_named_in_each_document() {
        CriteriaSource a = document("a", "'include': [{'id': 'x', 'test': {'member': 'b'}}]");
        CriteriaSource b = document("b", "'exclude': [{'id': 'x', 'test': {'any': [{'member': 'a'}]}}]");
        InvalidCriteria refused = refusal(List.of(a, b), Map.of());
        assertThat(refused.problems().get("a")).extracting(Problem::pointer).containsExactly("/include/0/test/member");
        assertThat(refused.problems().get("b"))
                .extracting(Problem::pointer)
                .containsExactly("/exclude/0/test/any/0/member");

        CriteriaSource again =
                new CriteriaSource("again", document("a", "'include': []").json());
        assertThat(refusal(List.of(document("a", "'include': []"), again), Map.of())
                        .problems())
                .containsOnlyKeys("again");
    }

    @Test
    void text_that_is_no_json_is_refused_with_its_line() {
        for (String text : List.of("{\n\"a\": }", "", "{} {}", "{\"a\": 1, \"a\": 2}")) {
            InvalidCriteria refused =
                    catchThrowableOfType(InvalidCriteria.class, () -> CriteriaSource.parse("x.json", text));
            assertThat(refused).as(text).isNotNull();
        }
    }

    private static List<String> problemsOf(String parts, Map<String, String> settings) {
        try {
            CriteriaReader.read(List.of(document("set", parts)), settings, NOBODY.fields(), ZoneOffset.UTC);
            return List.of();
        } catch (InvalidCriteria invalid) {
            return invalid.problems().get("set").stream().map(Problem::pointer).toList();
        }
    }

    private static InvalidCriteria refusal(List<CriteriaSource> sources, Map<String, String> settings) {
        return catchThrowableOfType(
                InvalidCriteria.class, () -> CriteriaReader.read(sources, settings, NOBODY.fields(), ZoneOffset.UTC));
    }
}
