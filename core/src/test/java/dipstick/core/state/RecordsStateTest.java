package dipstick.core.state;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Records;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.state.Oddity.Sort;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class RecordsStateTest {
    private static final String PEOPLE = """
            id,family_name,birth_date,deceased_on,phone
            a,Marl,1961-05-17,,1
            b,Oak,1940,2020-03,
            c,Ash,,,
            """;

    private static final String EVENTS = "id,person_id,kind,code,text,on,value,unit,source\n";

    private static Population records(String people, String events) {
        return Records.of(people, EVENTS + events);
    }

    private static List<String> odd(Population records, Sort sort) {
        var id = (Column.OfText)
                records.events().column(records.events().fields().find("id").orElseThrow());
        return RecordsState.of(records, Records.TODAY).oddities().stream()
                .filter(oddity -> oddity.sort() == sort)
                .flatMap(oddity -> oddity.records().stream().mapToObj(id::writtenAt))
                .sorted()
                .toList();
    }

    @Test
    void a_day_before_birth_or_after_death_is_odd_only_where_each_of_its_days_is() {
        Population records = records(PEOPLE, """
                1,a,visit,,,1961-05-16,,,
                2,a,visit,,,1961-05,,,
                3,a,visit,,,1960,,,
                4,b,visit,,,1940-01-01,,,
                5,b,visit,,,1939,,,
                6,b,visit,,,2020-03-31,,,
                7,b,visit,,,2020-04-01,,,
                8,b,visit,,,2020,,,
                9,c,visit,,,1800-01-01,,,
                """);
        assertThat(odd(records, Sort.BEFORE_BIRTH)).containsExactly("1", "3", "5");
        assertThat(odd(records, Sort.AFTER_DEATH)).containsExactly("7");
    }

    @Test
    void more_than_two_years_ahead_is_odd_and_two_years_are_not() {
        LocalDate edge = Records.TODAY.plusYears(2);
        Population records =
                records(PEOPLE, "1,a,appointment,,," + edge + ",,,\n2,a,appointment,,," + edge.plusDays(1) + ",,,\n");
        assertThat(odd(records, Sort.FAR_AHEAD)).containsExactly("2");
    }

    @Test
    void the_same_code_twice_on_a_day_is_told_once_and_two_wordings_of_one_code_are_the_same() {
        Population records = records(PEOPLE, """
                1,a,result,K1,Potassium,2026-01-02,4,,
                2,a,result,K1,Kalium,2026-01-02,5,,
                3,a,result,K1,Potassium,2026-01-03,4,,
                4,b,result,K1,Potassium,2026-01-02,4,,
                5,a,visit,,,2026-01-02,,,
                6,a,visit,,,2026-01-02,,,
                7,a,result,K1,Potassium,2026-01,4,,
                """);
        assertThat(odd(records, Sort.TWICE_ON_A_DAY)).hasSize(1).containsAnyOf("1", "2");
    }

    @Test
    void a_value_a_thousand_times_the_usual_and_a_rare_unit_stand_out_of_enough_values() {
        String usual = IntStream.range(0, 30)
                .mapToObj(i -> "u" + i + ",a,result,K1,Potassium,2026-01-02,4." + i % 10 + ",mmol/l,")
                .collect(Collectors.joining("\n", "", "\n"));
        Population records = records(PEOPLE, usual + """
                far,a,result,K1,Potassium,2026-01-02,4500,mmol/l,
                near,a,result,K1,Potassium,2026-01-02,4000,mmol/l,
                low,a,result,K1,Kalium,2026-01-02,0.004,mmol/l,
                zero,a,result,K1,Potassium,2026-01-02,0,mmol/l,
                mg,a,result,K1,Potassium,2026-01-02,16,mg/dl,
                none,a,result,K1,Potassium,2026-01-02,4.5,,
                few,a,result,N2,Sodium,2026-01-02,140,mmol/l,
                few2,a,result,N2,Sodium,2026-01-02,140000,mmol/l,
                """);
        assertThat(odd(records, Sort.FAR_VALUE)).containsExactly("far", "low");
        assertThat(odd(records, Sort.ANOTHER_UNIT)).containsExactly("mg");
    }

    @Test
    void people_cannot_be_born_ahead_nor_die_before_birth_nor_be_older_than_anybody() {
        Population records = records("""
                id,birth_date,deceased_on
                ahead,2027-01-01,
                today,2026-11-23,
                dead,1961-05-17,1961-05-16
                month,1961-05-17,1961-05
                old,1901-11-22,
                older,1900,1950
                edge,1901-11-23,
                """, "");
        assertThat(RecordsState.of(records, Records.TODAY).oddities().stream()
                        .map(oddity -> oddity.sort() + " "
                                + oddity.people().stream()
                                        .mapToObj(records::idOf)
                                        .toList()))
                .containsExactly("BORN_AHEAD [ahead]", "DIED_BEFORE_BIRTH [dead]", "TOO_OLD [old]");
    }

    @Test
    void a_source_is_late_and_has_a_gap_beside_what_is_usual_for_it() {
        LocalDate begin = Records.TODAY.minusDays(200);
        String weekly = IntStream.range(0, 20)
                .filter(week -> week < 8 || week > 13)
                .mapToObj(week -> "w" + week + ",a,result,K1,," + begin.plusWeeks(week) + ",,,Lab")
                .collect(Collectors.joining("\n", "", "\n"));
        Population records = records(
                PEOPLE, weekly + "v1,a,visit,,,2026-11-20,,,\nv2,b,visit,,,2026,,,\nv3,b,visit,,,2027-01-01,,,\n");
        List<Feed> feeds = RecordsState.of(records, Records.TODAY).feeds();
        assertThat(feeds).extracting(Feed::source).containsExactly("Lab", "");
        Feed.Span lab = feeds.getFirst().span().orElseThrow();
        assertThat(lab.usual()).isEqualTo(7);
        assertThat(lab.gap()).isTrue();
        assertThat(lab.gapTo() - lab.gapFrom()).isEqualTo(49);
        assertThat(lab.late()).isTrue();
        assertThat(lab.ended()).isFalse();
        Feed.Span ended = RecordsState.of(records, Records.TODAY.plusYears(1))
                .feeds()
                .getFirst()
                .span()
                .orElseThrow();
        assertThat(ended.ended()).isTrue();
        assertThat(ended.late()).isFalse();
        Feed.Span visits = feeds.getLast().span().orElseThrow();
        assertThat(feeds.getLast().undated()).isEqualTo(1);
        assertThat(LocalDate.ofEpochDay(visits.last()))
                .as("what is ahead is not fresh")
                .isEqualTo("2026-11-20");
        assertThat(visits.late()).as("one day tells no rhythm").isFalse();
    }

    @Test
    void blanks_are_counted_of_people_and_of_the_kinds_whose_records_have_the_field() {
        RecordsState state = RecordsState.of(
                records(PEOPLE, "1,a,result,K1,,2026-01-02,4,,\n2,a,result,,,2026-01-02,,,\n3,a,visit,,,,,,\n"),
                Records.TODAY);
        assertThat(state.blanksOfPeople())
                .contains(new Blanks("", "birth_date", 1, 3), new Blanks("", "phone", 2, 3))
                .extracting(Blanks::field)
                .doesNotContain("id", "deceased_on");
        assertThat(state.blanksOfEvents())
                .contains(new Blanks("result", "code", 1, 2), new Blanks("result", "value", 1, 2))
                .noneMatch(blanks ->
                        blanks.kind().equals("visit") && blanks.field().equals("code"));
    }

    @Test
    void nobody_and_nothing_have_a_state_too() {
        RecordsState state = RecordsState.of(records("id\n", ""), Records.TODAY);
        assertThat(state.feeds()).isEmpty();
        assertThat(state.oddities()).isEmpty();
        assertThat(state.blanksOfEvents()).isEmpty();
    }
}
