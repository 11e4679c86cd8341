package dipstick.server.demo;

import dipstick.server.readings.Readings;
import dipstick.server.records.Views;
import java.time.Duration;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/** Has the demo's lists read once a week in the weeks before its first start, so that they have a past to look at. */
@Component
@ConditionalOnProperty("dipstick.demo")
class DemoPast implements SmartLifecycle {
    static final int WEEKS = 8;

    private final DemoClock clock;
    private final Readings readings;
    private boolean started;

    DemoPast(DemoClock clock, Readings readings) {
        this.clock = clock;
        this.readings = readings;
    }

    @Override
    public void start() {
        if (readings.none()) {
            for (int weeks = WEEKS; weeks > 0; weeks--) {
                clock.earlier(Duration.ofDays(7L * weeks), readings::takeEvery);
            }
        }
        started = true;
    }

    @Override
    public void stop() {
        started = false;
    }

    @Override
    public boolean isRunning() {
        return started;
    }

    /** After the first view, and before lists are read by themselves. */
    @Override
    public int getPhase() {
        return Views.AFTER_FIRST_RECORDS + 1;
    }
}
