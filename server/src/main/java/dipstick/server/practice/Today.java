package dipstick.server.practice;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import org.springframework.stereotype.Component;

/** The practice's calendar day, in its own time zone and never in UTC (criteria.md section 2). */
@Component
public class Today {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm");

    private final Clock clock;

    Today(Clock clock, PracticeSettings settings) {
        this.clock = clock.withZone(settings.zoneId());
    }

    public LocalDate day() {
        return LocalDate.now(clock);
    }

    public Instant now() {
        return clock.instant();
    }

    /** The time of day of a moment, in the practice's zone: 15:39. */
    public String timeOf(Instant moment) {
        return moment.atZone(zone()).format(TIME);
    }

    public ZoneId zone() {
        return clock.getZone();
    }
}
