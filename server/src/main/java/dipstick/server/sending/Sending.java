package dipstick.server.sending;

import dipstick.server.practice.Schedule;
import java.time.DayOfWeek;
import java.time.LocalTime;

/**
 * What is sent to colleagues by itself.
 *
 * @param setId of the list; empty for the morning sheet of all lists
 * @param onlyNew whether it is sent only when there is something new
 * @param account who had it sent
 */
record Sending(String id, String setId, What what, Schedule schedule, boolean onlyNew, String account, int revision) {
    enum What {
        /** Everybody on the list. */
        LIST,
        /** Who came to be on it since the last time. */
        NEW,
        /** Who comes in today and is to be told of something. */
        MORNING
    }

    /** As it is stored. */
    record Row(
            String id,
            String setId,
            String what,
            String every,
            int dayOfWeek,
            int dayOfMonth,
            String atTime,
            boolean onlyNew,
            String account,
            int revision) {
        Sending sending() {
            return new Sending(
                    id,
                    setId,
                    What.valueOf(what),
                    new Schedule(
                            Schedule.Every.valueOf(every),
                            DayOfWeek.of(dayOfWeek),
                            dayOfMonth,
                            LocalTime.parse(atTime)),
                    onlyNew,
                    account,
                    revision);
        }
    }

    Row row() {
        return new Row(
                id,
                setId,
                what.name(),
                schedule.every().name(),
                schedule.dayOfWeek().getValue(),
                schedule.dayOfMonth(),
                schedule.at().toString(),
                onlyNew,
                account,
                revision);
    }
}
