package dipstick.server.demo;

import dipstick.server.outreach.desk.ListsAtWork;
import dipstick.server.readings.Readings;
import dipstick.server.readings.TakingReadings;
import dipstick.server.records.Views;
import java.time.Duration;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Has the demo's lists read once a week in the weeks before its first start, and two callers work some of them, so that
 * there is a past to look at.
 */
@Component
@ConditionalOnProperty("dipstick.demo")
class DemoPast implements SmartLifecycle {
    static final int WEEKS = 8;

    /** So that what was logged counts in the readings that follow. */
    private static final int LAST_WEEK_OF_CALLS = 1;

    /** In percent, by the list. */
    private static final Map<String, Integer> TARGETS = Map.of(
            "hearing-check-due", 80,
            "kidney-function-on-water-tablets", 85,
            "lithium-monitoring-due", 90,
            "shingles-vaccination", 60);

    private final DemoClock clock;
    private final Readings readings;
    private final TakingReadings taking;
    private final DemoCalls calls;
    private final ListsAtWork lists;
    private final Views views;
    private boolean started;

    DemoPast(
            DemoClock clock,
            Readings readings,
            TakingReadings taking,
            DemoCalls calls,
            ListsAtWork lists,
            Views views) {
        this.clock = clock;
        this.readings = readings;
        this.taking = taking;
        this.calls = calls;
        this.lists = lists;
        this.views = views;
    }

    @Override
    public void start() {
        if (readings.none()) {
            for (int weeks = WEEKS; weeks > 0; weeks--) {
                int ago = weeks;
                clock.earlier(Duration.ofDays(7L * ago), () -> {
                    taking.takeEvery();
                    if (ago > LAST_WEEK_OF_CALLS) {
                        calls.ofWeek(ago);
                    }
                });
            }
            TARGETS.forEach(lists::aim);
            // What was made ready last was so in the past; this makes it ready now.
            views.show();
            views.remake();
            taking.takeEvery();
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
