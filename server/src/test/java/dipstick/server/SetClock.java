package dipstick.server;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;

/** A clock that stands still until it is set. */
public final class SetClock extends Clock {
    private final AtomicReference<Instant> now;
    private final ZoneId zone;

    private SetClock(AtomicReference<Instant> now, ZoneId zone) {
        this.now = now;
        this.zone = zone;
    }

    /** At nine in the morning of a day, UTC. */
    public static SetClock onThe(LocalDate day) {
        return new SetClock(new AtomicReference<>(morning(day)), ZoneOffset.UTC);
    }

    public void set(LocalDate day) {
        now.set(morning(day));
    }

    public void set(Instant instant) {
        now.set(instant);
    }

    private static Instant morning(LocalDate day) {
        return day.atTime(9, 0).toInstant(ZoneOffset.UTC);
    }

    @Override
    public ZoneId getZone() {
        return zone;
    }

    @Override
    public Clock withZone(ZoneId other) {
        return new SetClock(now, other);
    }

    @Override
    public Instant instant() {
        return now.get();
    }
}
