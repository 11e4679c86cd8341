package dipstick.server.outreach.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.population.Population;
import dipstick.core.population.PopulationBuilder;
import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RecordFields;
import dipstick.core.time.DateRange;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** At every boundary of the rules by which somebody is not called. */
class HeldBackTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
    private static final HoldRules RULES = new HoldRules(60, 14, true, true);

    private static PersonRecord person(Map<String, FieldValue> values) {
        Map<String, FieldValue> all = new HashMap<>(values);
        all.put("id", new FieldValue.OfText("p"));
        return new PersonRecord("p", all);
    }

    private static PersonRecord reachable() {
        return person(Map.of("phone", new FieldValue.OfText("01632 960001")));
    }

    private static EventRecord appointment(DateRange on, String status) {
        return EventRecord.of("p", "Appointment")
                .text("id", "a")
                .date("on", Optional.of(on))
                .text("status", status)
                .build();
    }

    private static Optional<String> why(HoldRules rules, PersonRecord person, EventRecord... events) {
        return why(rules, Map.of(), person, events);
    }

    private static Optional<String> why(
            HoldRules rules, Map<String, LocalDate> reached, PersonRecord person, EventRecord... events) {
        PopulationBuilder builder = new PopulationBuilder(RecordFields.KNOWN);
        builder.add(person);
        for (EventRecord event : events) {
            builder.add(event);
        }
        Population records = builder.seal();
        return new HeldBack(rules, records, DAY, reached).why("p");
    }

    @ParameterizedTest
    @CsvSource({
        // Days from today, and whether that holds somebody back where appointments within 60 days do.
        "-1, false",
        "0, true",
        "1, true",
        "60, true",
        "61, false",
    })
    void an_appointment_ahead_holds_back_within_the_days_of_the_rule(int days, boolean held) {
        EventRecord appointment = appointment(DateRange.day(DAY.plusDays(days)), "booked");
        assertThat(why(RULES, reachable(), appointment).isPresent()).isEqualTo(held);
        assertThat(why(new HoldRules(0, 14, true, true), reachable(), appointment))
                .as("a rule of no days")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "cancelled, false", "Cancelled, false", "no show, false", "no-show, false", "noshow, false",
        "did not attend, false", "entered-in-error, false", "booked, true", "'', true", "arrived, true",
    })
    void an_appointment_that_is_called_off_holds_nobody_back(String status, boolean held) {
        assertThat(why(RULES, reachable(), appointment(DateRange.day(DAY.plusDays(3)), status))
                        .isPresent())
                .isEqualTo(held);
    }

    @Test
    void an_appointment_in_some_month_may_be_ahead() {
        DateRange november = new DateRange(
                Math.toIntExact(LocalDate.of(2026, 11, 1).toEpochDay()),
                Math.toIntExact(LocalDate.of(2026, 11, 30).toEpochDay()));
        assertThat(why(RULES, reachable(), appointment(november, "booked")))
                .hasValueSatisfying(why -> assertThat(why).startsWith("Has an appointment on record: "));
    }

    @ParameterizedTest
    @CsvSource({"0, true", "1, true", "13, true", "14, false", "15, false"})
    void who_was_reached_lately_is_left_in_peace(int daysAgo, boolean held) {
        Map<String, LocalDate> reached = Map.of("p", DAY.minusDays(daysAgo));
        assertThat(why(RULES, reached, reachable()).isPresent()).isEqualTo(held);
        assertThat(why(new HoldRules(60, 0, true, true), reached, reachable())).isEmpty();
    }

    @Test
    void who_asked_not_to_be_contacted_is_not_unless_the_rule_is_off() {
        PersonRecord asked = person(
                Map.of("phone", new FieldValue.OfText("01632 960001"), "do_not_contact", new FieldValue.OfFlag(true)));
        assertThat(why(RULES, asked)).contains("Asked not to be contacted.");
        assertThat(why(new HoldRules(60, 14, false, true), asked)).isEmpty();
        PersonRecord didNot = person(
                Map.of("phone", new FieldValue.OfText("01632 960001"), "do_not_contact", new FieldValue.OfFlag(false)));
        assertThat(why(RULES, didNot)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"phone", "mobile", "email", "address"})
    void any_one_way_is_enough_to_reach_somebody(String way) {
        assertThat(why(RULES, person(Map.of(way, new FieldValue.OfText("x"))))).isEmpty();
    }

    @Test
    void who_cannot_be_reached_at_all_is_told_so() {
        PersonRecord nowhere = person(Map.of("city", new FieldValue.OfText("Otterbrook")));
        assertThat(why(RULES, nowhere)).contains("No phone, e-mail or address is on record.");
        assertThat(why(new HoldRules(60, 14, true, false), nowhere)).isEmpty();
    }

    @Test
    void the_graver_reason_is_told_first() {
        PersonRecord asked = person(Map.of("do_not_contact", new FieldValue.OfFlag(true)));
        assertThat(why(RULES, Map.of("p", DAY), asked, appointment(DateRange.day(DAY), "booked")))
                .contains("Asked not to be contacted.");
    }

    @Test
    void who_is_not_on_file_any_more_is_held_back() {
        Population nobody = new PopulationBuilder(RecordFields.KNOWN).seal();
        assertThat(new HeldBack(RULES, nobody, DAY, Map.of()).why("p")).contains("Is not on file any more.");
    }
}
