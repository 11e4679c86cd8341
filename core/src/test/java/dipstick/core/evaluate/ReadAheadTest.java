package dipstick.core.evaluate;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.population.Population;
import dipstick.core.population.Runs;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Days that are asked in one pass answer as each of them does by itself. */
class ReadAheadTest {
    /** More than one block of them, so that the last ones are not in the first. */
    private static final int OTHERS = Runs.PEOPLE;

    private static final Population PEOPLE = Records.of(
            "id,birth_date,site,registered:date\n"
                    + IntStream.range(0, OTHERS)
                            .mapToObj(i -> "o" + i + ",,,\n")
                            .reduce("", String::concat)
                    + """
                    a,1950-02-03,Mill,2025-12-24
                    b,1990,Row,2026
                    c,,Mill,
                    d,1960-05-06,Row,2026-03
                    e,1960-05-06,,2031-01-01
                    """,
            """
            person_id,kind,on,status,value
            o3,visit,2026-05-01,done,
            a,visit,2025-12-24,done,7
            a,visit,2026-06-01,done,8
            b,visit,2026,done,
            b,letter,2026-03-01,,
            c,visit,,done,
            c,visit,2020-01-01,entered-in-error,
            d,visit,2026-02-10,,3
            d,letter,2025-11-23,,
            """);

    /** A month from each other, with one that most windows hold nothing of. */
    private static final List<LocalDate> DAYS = Stream.concat(
                    Stream.of(LocalDate.of(2019, 1, 1)),
                    IntStream.range(0, 14)
                            .mapToObj(month -> LocalDate.of(2025, 11, 24).plusMonths(month)))
            .toList();

    private static List<Evaluator> asOf(List<LocalDate> days) {
        return days.stream().map(day -> new Evaluator(PEOPLE, day)).toList();
    }

    private static List<Evaluator> readAhead(CriteriaSet set, List<LocalDate> asOf) {
        List<Evaluator> days = asOf(asOf);
        Evaluator.readAhead(set, days);
        return days;
    }

    private static CriteriaSet set(String test) {
        return Records.set(PEOPLE, """
                'rosters': [{'id': 'mill', 'name': 'Mill', 'key': ['site'], 'rows': [['Mill']]}],
                'include': [{'id': 'asked', 'test': %s}]""".formatted(test));
    }

    private static dipstick.core.criteria.Test asked(CriteriaSet set) {
        return set.include().getFirst().test();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'events': {'kinds': ['visit'], 'window': {'last': 'P6M'}}}",
                "{'events': {'kinds': ['visit'], 'window': {'next': 'P3M'}}}",
                "{'events': {'kinds': ['visit'], 'window': {'ago': ['P8M', 'P2M']}}}",
                "{'events': {'window': {'sinceStartOf': 'year'}}}",
                "{'events': {'window': {'any': true}}}",
                "{'events': {'kinds': ['visit']}}",
                "{'events': {'kinds': ['visit'], 'window': {'last': 'P6M'}}, 'count': {'none': true}}",
                "{'events': {'where': [{'field': 'status', 'in': ['done']}], 'window': {'last': 'P6M'}}}",
                "{'events': {'where': [{'field': 'value', 'above': 5}], 'window': {'last': 'P1Y'}}}",
                "{'field': 'site', 'in': ['Mill']}",
                "{'field': 'registered', 'window': {'last': 'P6M'}}",
                "{'field': 'registered', 'from': '2026-02-01'}",
                "{'roster': 'mill'}",
            })
    void what_a_row_tells_alone_is_known_of_every_day(String test) {
        CriteriaSet set = set(test);
        List<Evaluator> days = readAhead(set, DAYS);
        assertThat(days).allSatisfy(day -> {
            assertThat(day.knows(asked(set))).isTrue();
            assertThat(day.answer(asked(set))).isEqualTo(new Evaluator(PEOPLE, day.asOf()).answer(asked(set)));
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'events': {'kinds': ['visit']}, 'count': {'atLeast': 2}}",
                "{'events': {'kinds': ['visit']}, 'count': {'atMost': 1}}",
                "{'events': {'kinds': ['visit']}, 'count': {'exactly': 1}}",
                "{'events': {'kinds': ['visit']}, 'per': 'day'}",
                "{'events': {'kinds': ['visit'], 'active': true}}",
                "{'events': {'window': {'atAge': {'through': 75}}}}",
                "{'events': {'where': [{'field': 'on', 'from': '2026-01-01'}]}}",
                "{'events': {'where': [{'field': 'until', 'window': {'last': 'P1M'}}]}}",
                "{'field': 'registered', 'window': {'atAge': {'from': 18}}}",
                "{'age': {'from': 60}}",
                "{'latest': {'kinds': ['visit']}, 'is': [{'field': 'value', 'above': 5}]}",
                "{'after': {'kinds': ['visit']}, 'expect': {'kinds': ['letter']}, 'within': 'P90D'}",
            })
    void what_needs_more_than_that_is_left_to_each_day(String test) {
        CriteriaSet set = set(test);
        List<Evaluator> days = readAhead(set, DAYS);
        assertThat(days).noneMatch(day -> day.knows(asked(set)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'all': [%s]}",
                "{'any': [%s]}",
                "{'not': %s}",
                "{'atLeast': 1, 'of': [%s]}",
                "{'not': {'all': [{'any': [%s]}]}}",
            })
    void what_stands_within_others_is_known(String group) {
        String inner = "{'field': 'site', 'in': ['Mill']}";
        List<Evaluator> days = readAhead(set(group.formatted(inner)), DAYS);
        assertThat(days).allMatch(day -> day.knows(asked(set(inner))));
    }

    @Test
    void sets_that_are_named_and_bands_are_asked_and_what_is_off_is_not() {
        String visit = "{'events': {'kinds': ['visit']}}";
        String letter = "{'events': {'kinds': ['letter']}}";
        String site = "{'field': 'site', 'in': ['Mill']}";
        CriteriaSet set = Records.sets(
                PEOPLE,
                List.of(
                        Records.document("first", """
                                'include': [{'id': 'm', 'test': {'member': 'other'}}, {'id': 'off', 'off': true, 'test': %s}],
                                'bands': [{'name': 'Never', 'when': {'overdue': 'never'}}, {'name': 'Mill', 'when': %s}]""".formatted(letter, site)).json(),
                        Records.document("other", "'include': [{'id': 'v', 'test': %s}]".formatted(visit))
                                .json()));
        List<Evaluator> days = readAhead(set, DAYS);
        assertThat(days)
                .allMatch(day -> day.knows(asked(set(visit))))
                .allMatch(day -> day.knows(asked(set(site))))
                .noneMatch(day -> day.knows(asked(set(letter))));
    }

    @Test
    void more_days_than_are_asked_at_once_are_all_known() {
        CriteriaSet set = set("{'events': {'kinds': ['visit'], 'window': {'last': 'P6M'}}}");
        List<Evaluator> days = readAhead(
                set,
                IntStream.range(0, DayAnswers.MOST_DAYS + 1)
                        .mapToObj(week -> LocalDate.of(2025, 11, 24).plusWeeks(week))
                        .toList());
        assertThat(days).allSatisfy(day -> {
            assertThat(set.criteria().map(Criterion::test)).allMatch(day::knows);
            assertThat(day.answer(asked(set))).isEqualTo(new Evaluator(PEOPLE, day.asOf()).answer(asked(set)));
        });
    }

    @Test
    void what_every_day_knows_is_not_asked_again_and_what_one_lacks_is() {
        CriteriaSet set = set("{'events': {'kinds': ['visit'], 'window': {'last': 'P6M'}}}");
        List<Evaluator> days = asOf(DAYS);
        Answer kept = Answer.nobody();
        days.forEach(day -> day.keep(asked(set), kept));
        Evaluator.readAhead(set, days);
        assertThat(days).allMatch(day -> day.answer(asked(set)).equals(kept));

        List<Evaluator> more = Stream.concat(days.stream(), asOf(List.of(LocalDate.of(2026, 6, 2))).stream())
                .toList();
        Evaluator.readAhead(set, more);
        assertThat(more.getLast().knows(asked(set))).isTrue();
        assertThat(PEOPLE.idsOf(more.getLast().answer(asked(set)).yes())).contains("o3", "a", "d");
    }
}
