package dipstick.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.records.EventRecord;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class DemoPracticeTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 23);

    @Test
    void is_the_same_for_the_same_seed_and_day() {
        DemoPractice one = new DemoPractice(7, DAY);
        DemoPractice other = new DemoPractice(7, DAY);
        assertThat(one.people()).isEqualTo(other.people());
        assertThat(one.events(one.people())).isEqualTo(other.events(other.people()));
        assertThat(new DemoPractice(8, DAY).people()).isNotEqualTo(one.people());
    }

    @Test
    void is_as_large_and_as_untidy_as_a_practice() {
        DemoPractice practice = new DemoPractice(7, DAY);
        List<DemoPerson> people = practice.people();
        List<EventRecord> events = practice.events(people);

        assertThat(people).hasSizeBetween(6000, 6100);
        assertThat(events).hasSizeBetween(150_000, 200_000);
        assertThat(people).extracting(DemoPerson::id).doesNotHaveDuplicates();
        assertThat(people).anyMatch(person -> !person.record().values().containsKey("birth_date"));
        assertThat(events).anyMatch(event -> event.on().isEmpty());
        assertThat(events)
                .anyMatch(event -> event.on().isPresent() && !event.on().get().isExact());
        assertThat(events).anyMatch(event -> event.text("status").equals("entered-in-error"));
        assertThat(events)
                .filteredOn(event -> event.kind().equals("result"))
                .extracting(event -> event.text("text"))
                .contains("Renal panel", "Kidney function panel");
    }
}
