package dipstick.core.changes;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.Outcome;
import dipstick.core.Records;
import dipstick.core.changes.Change.Cause;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/** A list over weeks: who came, who left, and the sentence that says why. */
class ChangesTest {
    private static final LocalDate THEN = LocalDate.of(2026, 11, 16);
    private static final LocalDate NOW = LocalDate.of(2026, 11, 23);

    private static final Population RECORDS = Records.of("""
                    id,birth_date,status,deceased_on
                    comes-of-age,1976-11-20,,
                    runs-out,1960,,
                    seen,1960,,
                    moved,1960,moved away,
                    dead,1960,,2026-11-18
                    new,1960,,
                    young,1990,,
                    forty,1986-01-01,,
                    booked,1960,,
                    on-the-day,1960,,
                    day-after,1960,,
                    turned-399-days-ago,1975-10-20,,
                    turned-400-days-ago,1975-10-19,,
                    """, """
                    person_id,kind,on
                    runs-out,visit,2025-11-18
                    seen,visit,2026-11-10
                    booked,visit,2026-11-20
                    on-the-day,call,2026-11-16
                    on-the-day,letter,2026-11-01
                    on-the-day,text,2026-11-18
                    day-after,call,2026-11-17
                    day-after,letter,2026-11-01
                    """);

    private static final CriteriaSet SET = set(50);

    @Test
    void nothing_is_said_of_those_who_stay() {
        assertThat(changes(SET).of(person("new"), Outcome.YES)).isEmpty();
        assertThat(changes(SET).of(person("young"), Outcome.NO)).isEmpty();
    }

    @Test
    void somebody_comes_of_age_or_a_lookback_runs_out() {
        assertChange("comes-of-age", Outcome.NO, Cause.TIME, "Comes of the age on 20 Nov 2026.");
        assertChange(
                "runs-out",
                Outcome.NO,
                Cause.TIME,
                "Becomes due: the window closes on 19 Nov 2026 behind visit on 18 Nov 2025.");
    }

    @Test
    void what_should_be_on_record_came() {
        assertChange("seen", Outcome.YES, Cause.DONE, "Now on record: Visit on 10 Nov 2026.");
        assertChange("booked", Outcome.YES, Cause.DONE, "Now on record: Visit on 20 Nov 2026.");
    }

    @Test
    void a_record_of_a_day_since_the_reading_before_came_rather_than_that_time_went_by() {
        CriteriaSet seen = Records.set(
                RECORDS,
                "'include': [{'id': 'seen', 'test': {'events': {'kinds': ['visit'], 'window': {'last': 'P30D'}}}}]");
        assertThat(changes(seen).of(person("booked"), Outcome.NO))
                .contains(new Change(Cause.RECORDS, "New on record: Visit on 20 Nov 2026."));
        CriteriaSet exempt = Records.set(
                RECORDS,
                "'exclude': [{'id': 'seen', 'test': {'events': {'kinds': ['visit'], 'window': {'last': 'P30D'}}}}]");
        assertThat(changes(exempt).of(person("booked"), Outcome.YES))
                .contains(new Change(Cause.EXEMPT, "Exempt: Visit on 20 Nov 2026."));
    }

    @Test
    void a_record_of_the_day_of_the_reading_before_was_known_then() {
        CriteriaSet exempt = Records.set(RECORDS, "'exclude': [%s]".formatted(threeDaysAgo("call")));
        assertThat(changes(exempt).of(person("on-the-day"), Outcome.YES))
                .map(Change::cause)
                .contains(Cause.TIME);
        assertThat(changes(exempt).of(person("day-after"), Outcome.YES))
                .contains(new Change(Cause.EXEMPT, "Exempt: Call on 17 Nov 2026."));
    }

    @Test
    void of_what_should_be_there_any_that_is_new_tells_but_not_what_is_switched_off() {
        CriteriaSet two = Records.set(RECORDS, """
                'shouldHave': {'rule': {'atLeast': 2}, 'of': [%s, %s, %s]}""".formatted(
                        threeDaysAgo("call"),
                        threeDaysAgo("letter"),
                        threeDaysAgo("text").replace("{'id'", "{'off': true, 'id'")));
        assertThat(changes(two).of(person("on-the-day"), Outcome.YES))
                .map(Change::cause)
                .contains(Cause.TIME);
        assertThat(changes(two).of(person("day-after"), Outcome.YES))
                .map(Change::cause)
                .contains(Cause.DONE);
    }

    @Test
    void a_turn_is_looked_for_400_days_back() {
        CriteriaSet aged = Records.set(RECORDS, "'include': [{'id': 'age', 'test': {'age': {'from': 50}}}]");
        Changes longAgo = new Changes(aged, LocalDate.of(2025, 1, 1), reading(aged), ChangesTest::asOf);
        assertThat(longAgo.of(person("turned-399-days-ago"), Outcome.NO))
                .contains(new Change(Cause.TIME, "Comes of the age on 20 Oct 2025."));
        assertThat(longAgo.of(person("turned-400-days-ago"), Outcome.NO))
                .contains(new Change(Cause.TIME, "Time went by from 1 Jan 2025 to 23 Nov 2026."));
    }

    @Test
    void somebody_is_exempt_or_died() {
        assertChange("moved", Outcome.YES, Cause.EXEMPT, "Exempt: Status is moved away.");
        assertChange("dead", Outcome.YES, Cause.DIED, "Recorded as deceased.");
    }

    @Test
    void records_came_or_were_corrected() {
        assertThat(changes(SET).of(person("new"), Outcome.NO).orElseThrow().cause())
                .isEqualTo(Cause.RECORDS);
        assertChange("young", Outcome.YES, Cause.RECORDS, "The records changed: Aged 35 to 36, born 1990.");
    }

    @Test
    void the_criteria_changed() {
        Changes changes = new Changes(set(40), THEN, reading(SET), ChangesTest::asOf);
        assertThat(changes.of(person("forty"), Outcome.YES))
                .contains(new Change(Cause.CRITERIA, "The criteria changed: “aged 50 or over” keeps them off now."));
        Changes back = new Changes(SET, THEN, reading(set(40)), ChangesTest::asOf);
        assertThat(back.of(person("forty"), Outcome.NO))
                .contains(
                        new Change(Cause.CRITERIA, "The criteria changed: “aged 50 or over” keeps them off no more."));
    }

    private static String threeDaysAgo(String kind) {
        return "{'id': '%s', 'test': {'events': {'kinds': ['%s'], 'window': {'ago': ['P90D', 'P3D']}}}}"
                .formatted(kind, kind);
    }

    private static void assertChange(String person, Outcome was, Cause cause, String words) {
        assertThat(changes(SET).of(person(person), was)).contains(new Change(cause, words));
    }

    private static Changes changes(CriteriaSet set) {
        return new Changes(set, THEN, reading(set), ChangesTest::asOf);
    }

    private static Evaluator asOf(LocalDate day) {
        return new Evaluator(RECORDS, day);
    }

    private static Reading reading(CriteriaSet set) {
        return new Evaluator(RECORDS, NOW).read(set);
    }

    private static int person(String id) {
        return RECORDS.find(id).orElseThrow();
    }

    private static CriteriaSet set(int age) {
        return Records.set(RECORDS, """
                'include': [{'id': 'age', 'test': {'age': {'from': %d}}}],
                'exclude': [{'id': 'gone', 'unsure': 'fails', 'test': {'field': 'status', 'in': ['moved away']}}],
                'shouldHave': {'rule': 'any', 'of': [{'id': 'seen',
                    'test': {'events': {'kinds': ['visit'], 'window': {'last': 'P12M'}}}}]}""".formatted(age));
    }
}
