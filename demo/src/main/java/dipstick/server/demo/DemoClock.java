package dipstick.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Primary;
import org.springframework.stereotype.Component;

/** The system's clock, but put back while the demo's past is made up. */
@Component
@Primary
@ConditionalOnProperty("dipstick.demo")
class DemoClock extends Clock {
    private volatile Duration back = Duration.ZERO;

    /** Does it as if it were so much earlier. */
    void earlier(Duration by, Runnable work) {
        back = by;
        try {
            work.run();
        } finally {
            back = Duration.ZERO;
        }
    }

    @Override
    public Instant instant() {
        return Instant.now().minus(back);
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new InZone(this, zone);
    }

    private static final class InZone extends Clock {
        private final Clock clock;
        private final ZoneId zone;

        InZone(Clock clock, ZoneId zone) {
            this.clock = clock;
            this.zone = zone;
        }

        @Override
        public Instant instant() {
            return clock.instant();
        }

        @Override
        public ZoneId getZone() {
            return zone;
        }

        @Override
        public Clock withZone(ZoneId other) {
            return new InZone(clock, other);
        }
    }
}
