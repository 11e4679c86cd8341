package dipstick.server.demo;

import dipstick.core.records.EventRecord;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** The invented practice: the same people and records for the same seed and day. */
final class DemoPractice {
    static final String NAME = "Otterbrook Family Practice";

    static final List<Field> CUSTOM_FIELDS = List.of(
            new Field("frailty", FieldType.NUMBER),
            new Field("registered_on", FieldType.DATE),
            new Field("wears_aid", FieldType.FLAG));

    private static final int PEOPLE = 6000;
    private static final int RECORDED_TWICE = 14;

    private final long seed;
    private final LocalDate today;

    DemoPractice(long seed, LocalDate today) {
        this.seed = seed;
        this.today = today;
    }

    List<DemoPerson> people() {
        List<DemoPerson> people = new ArrayList<>();
        for (int number = 0; number < PEOPLE; number++) {
            people.add(DemoPerson.of(number, Chance.of(seed, number), today));
        }
        for (int again = 0; again < RECORDED_TWICE; again++) {
            DemoPerson first = people.get(again * 401);
            people.add(first.recordedAgain("H" + first.id()));
        }
        return people;
    }

    List<EventRecord> events(List<DemoPerson> people) {
        List<EventRecord> events = new ArrayList<>();
        for (int number = 0; number < people.size(); number++) {
            new DemoLife(people.get(number), Chance.of(seed + 1, number), today, events::add).live();
        }
        return events;
    }
}
