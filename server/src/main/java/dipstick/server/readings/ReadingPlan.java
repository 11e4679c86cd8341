package dipstick.server.readings;

import dipstick.server.practice.Schedule;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * How a list is read by itself.
 *
 * @param dials as they are turned for this list, by name, as the command line writes them; the others are at their
 *     defaults
 * @param revision 0 where nobody said anything yet
 */
record ReadingPlan(String setId, Schedule schedule, Map<String, String> dials, int revision) {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<Map<String, String>> DIALS = new TypeReference<>() {};

    /** As it is stored. */
    record Row(String setId, String every, int dayOfWeek, int dayOfMonth, String atTime, String dials, int revision) {
        ReadingPlan plan() {
            Schedule schedule = new Schedule(
                    Schedule.Every.valueOf(every), DayOfWeek.of(dayOfWeek), dayOfMonth, LocalTime.parse(atTime));
            return new ReadingPlan(setId, schedule, ReadingPlan.dials(dials), revision);
        }
    }

    static ReadingPlan first(String set) {
        return new ReadingPlan(set, Schedule.DAILY, Map.of(), 0);
    }

    Row row() {
        return new Row(
                setId,
                schedule.every().name(),
                schedule.dayOfWeek().getValue(),
                schedule.dayOfMonth(),
                schedule.at().toString(),
                written(dials),
                revision);
    }

    static Map<String, String> dials(String written) {
        return JSON.readValue(written, DIALS);
    }

    /** In one order, so that the same dials are written the same. */
    static String written(Map<String, String> dials) {
        return JSON.writeValueAsString(new TreeMap<>(dials));
    }
}
