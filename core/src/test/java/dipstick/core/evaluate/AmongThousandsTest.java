package dipstick.core.evaluate;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.population.Population;
import dipstick.core.population.Runs;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Somebody among thousands is answered as they are alone, whichever way is quicker. */
class AmongThousandsTest {
    private static final String PEOPLE = "id,family_name,birth_date,site,registered:date\n";
    private static final String EVENTS = "person_id,kind,code,text,on,until,status,value,unit\n";

    /** Who they are, and below it their records. */
    private static final List<String> CASES = List.of(
            "Marl,1950-02-03,Mill,2026-01-05\nvisit,A,,2026-01-05,,done,7,g\nvisit,A,,2026-03-05,,done,3,g",
            "Marl,1950,Mill,2026\nvisit,A,,2026-01-05,,done,7,g\nvisit,B,,2026-01-05,,done,,",
            "Vask,1950-02-03,,\nvisit,A,,2026-01-05,,done,7,\nvisit,,seen,2026,,done,9,g",
            "Vask,,Row,2026-01-05\nvisit,A,,,,done,7,g\nvisit,A,,,,done,3,g",
            ",1990-12-31,Row,1990-12-31\nvisit,,seen,2026-02-01,,done,,\nvisit,A,,2026-02-02,,,1,g\nvisit,B,,2026-02-03,,,2,g\nletter,,,2026-02-02,,,,",
            "Tove,1990-12-31,Mill,2008-12-31\nvisit,A,,2026-01-05,,,6,g\nletter,,,2026-04-05,,,,",
            "Tove,1990-12-31,Mill,2008-12-30\nletter,,,2026-01-05,,,,\nvisit,A,,2026-04-06,,,6,g",
            "Wend,2008,Row,2026\nvisit,A,,2026-01,2027,active,6,g\nvisit,A,,2025-06-01,2020-01-01,active,6,g\nletter,,,2026-02,,,,",
            "Ardle,1980-01-01,Mill,\nletter,,,2025-11-23,,,,\nletter,,,2025-11-22,,,,\nvisit,C,,2024,,,8,mg",
            "Nobody,1980-01-01,Mill,",
            "Many,1980-01-01,Mill,\n"
                    + IntStream.range(0, 14)
                            .mapToObj(day -> "visit,%s,,2026-05-%02d,,,5,g".formatted((char) ('A' + day), day + 1))
                            .collect(Collectors.joining("\n")));

    private static final List<Population> ALONE = IntStream.range(0, CASES.size())
            .mapToObj(one -> records(List.of(one), 0))
            .toList();

    /** Each is in the first block and in the second one, among others who all have visits. */
    private static final Population CROWD = records(
            IntStream.range(0, 2)
                    .boxed()
                    .flatMap(twice -> IntStream.range(0, CASES.size()).boxed())
                    .toList(),
            Runs.PEOPLE);

    /** @param others between the first half of the cases and the second */
    private static Population records(List<Integer> cases, int others) {
        StringBuilder people = new StringBuilder(PEOPLE);
        StringBuilder events = new StringBuilder(EVENTS);
        for (int i = 0; i < cases.size(); i++) {
            String[] lines = CASES.get(cases.get(i)).split("\n");
            people.append("c").append(i).append(',').append(lines[0]).append('\n');
            for (int line = 1; line < lines.length; line++) {
                events.append("c").append(i).append(',').append(lines[line]).append('\n');
            }
            if (i == cases.size() / 2 - 1) {
                for (int other = 0; other < others; other++) {
                    people.append("o").append(other).append(",Else,1970-01-01,Elsewhere,\n");
                    for (int visit = 0; visit < 8; visit++) {
                        events.append("o%d,visit,A,,2026-0%d-03,,done,4,g\n".formatted(other, visit + 1));
                    }
                }
            }
        }
        return Records.of(people.toString(), events.toString());
    }

    private static Answer answer(Population people, String test) {
        CriteriaSet set = Records.set(people, """
                'rosters': [
                  {'id': 'few', 'name': 'Few', 'key': ['family_name', 'birth_date'],
                   'rows': [['Marl', '1950-02-03'], ['Vask', '1950-02-03'], ['Tove', '1990'], ['Zed', '1990-12-31']]},
                  {'id': 'placed', 'name': 'Placed', 'key': ['family_name', 'site'],
                   'rows': [['Marl', 'mill'], ['', 'Row'], ['Wend', 'Row']]},
                  {'id': 'nobody', 'name': 'Nobody', 'key': ['site'], 'rows': []}],
                'include': [{'id': 'asked', 'test': %s}]""".formatted(test));
        return new Evaluator(people, Records.TODAY)
                .answer(set.include().getFirst().test());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'events': {'kinds': ['visit']}, 'per': 'day'}",
                "{'events': {'kinds': ['visit']}, 'per': 'day', 'count': {'atLeast': 2}}",
                "{'events': {'kinds': ['visit']}, 'per': 'day', 'count': {'atLeast': 3}}",
                "{'events': {'kinds': ['visit']}, 'per': 'day', 'count': {'atLeast': 9}}",
                "{'events': {'kinds': ['visit']}, 'per': 'day', 'count': {'atMost': 1}}",
                "{'events': {'kinds': ['visit']}, 'per': 'day', 'count': {'exactly': 2}}",
                "{'events': {'kinds': ['visit']}, 'per': 'day', 'count': {'none': true}}",
                "{'events': {'kinds': ['visit']}, 'per': 'day', 'count': {'atLeast': 0}}",
                "{'events': {}, 'per': 'code', 'count': {'atLeast': 2}}",
                "{'events': {}, 'per': 'code', 'count': {'atLeast': 3}}",
                "{'events': {}, 'per': 'code', 'count': {'exactly': 2}}",
                "{'events': {'window': {'last': 'P10M'}}, 'per': 'code', 'count': {'atLeast': 2}}",
                "{'events': {'kinds': ['visit']}, 'count': {'atLeast': 2}}",
                "{'events': {'kinds': ['visit'], 'window': {'last': 'P11M'}}, 'count': {'exactly': 1}}",
                "{'events': {'kinds': ['visit'], 'where': [{'field': 'value', 'above': 5, 'unit': 'g'}]}}",
                "{'events': {'where': [{'field': 'value', 'above': 5, 'unit': 'g'}, {'field': 'status', 'in': ['done']}]}}",
                "{'events': {'where': [{'field': 'until', 'window': {'atAge': {'from': 18}}}]}}",
                "{'events': {'where': [{'field': 'status', 'in': ['active']},"
                        + " {'field': 'until', 'window': {'atAge': {'through': 18}}}]}}",
                "{'events': {'window': {'atAge': {'from': 18, 'through': 75}}}}",
                "{'events': {'active': true}}",
                "{'latest': {'kinds': ['visit']}, 'is': [{'field': 'value', 'above': 5}]}",
                "{'earliest': {'kinds': ['visit']}, 'is': [{'field': 'value', 'above': 5}]}",
                "{'latest': {}, 'is': [{'field': 'kind', 'in': ['letter']}]}",
                "{'after': {'kinds': ['visit']}, 'expect': {'kinds': ['letter']}, 'within': 'P90D'}",
                "{'after': {'kinds': ['visit']}, 'pick': 'earliest', 'expect': {'kinds': ['letter']}, 'within': 'P90D'}",
                "{'after': {'kinds': ['letter']}, 'expect': {'kinds': ['visit']}, 'within': 'P91D'}",
                "{'after': {'kinds': ['letter']}, 'expect': {'kinds': ['visit']}, 'within': 'P90D', 'notBefore': 'P1D'}",
                "{'after': {'kinds': ['visit']}, 'pick': 'any', 'expect': {'kinds': ['visit']}, 'within': 'P60D'}",
                "{'after': {'kinds': ['visit']}, 'pick': 'each', 'expect': {'kinds': ['visit']}, 'within': 'P60D'}",
                "{'after': {'kinds': ['visit']}, 'expect': {}, 'within': 'P90D'}",
                "{'after': {'kinds': ['visit']}, 'pick': 'earliest', 'expect': {'kinds': ['visit']}, 'within': 'P90D',"
                        + " 'count': {'atLeast': 2}}",
                "{'after': {'kinds': ['letter']}, 'expect': {'kinds': ['visit']}, 'within': 'P1Y', 'count': {'atMost': 1}}",
                "{'field': 'registered', 'window': {'atAge': {'from': 18}}}",
                "{'field': 'registered', 'window': {'atAge': {'through': 17}}}",
                "{'field': 'registered', 'window': {'last': 'P1Y'}}",
                "{'field': 'family_name', 'startsWith': 'ma'}",
                "{'age': {'from': 36, 'through': 76}}",
                "{'roster': 'few'}",
                "{'roster': 'placed'}",
                "{'roster': 'nobody'}",
            })
    void is_answered_as_alone(String test) {
        List<Outcome> alone = ALONE.stream().map(one -> answer(one, test).of(0)).toList();
        Answer all = answer(CROWD, test);
        int last = CASES.size() + Runs.PEOPLE;
        assertThat(IntStream.range(0, CASES.size()).mapToObj(all::of)).containsExactlyElementsOf(alone);
        assertThat(IntStream.range(last, last + CASES.size()).mapToObj(all::of)).containsExactlyElementsOf(alone);
    }
}
