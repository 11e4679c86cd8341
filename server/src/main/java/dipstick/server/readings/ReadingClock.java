package dipstick.server.readings;

import dipstick.server.records.Views;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Has lists read when their time has come, and those that a stop of the server left behind. */
@Component
class ReadingClock implements SmartLifecycle {
    private final TakingReadings readings;
    private boolean started;

    ReadingClock(TakingReadings readings) {
        this.readings = readings;
    }

    @Override
    public void start() {
        readings.catchUp();
        started = true;
    }

    @Scheduled(fixedDelayString = "PT20S")
    void tick() {
        if (started) {
            readings.takeMissed();
            readings.takeDue();
        }
    }

    @Override
    public void stop() {
        started = false;
    }

    @Override
    public boolean isRunning() {
        return started;
    }

    /** After the first view, and what was read before there was this clock. */
    @Override
    public int getPhase() {
        return Views.AFTER_FIRST_RECORDS + 2;
    }
}
