package dipstick.server.sending;

import dipstick.server.records.Views;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Sends when the time has come, and what a stop of the server left behind. */
@Component
class SendingClock implements SmartLifecycle {
    private final Sendings sendings;
    private volatile boolean started;

    SendingClock(Sendings sendings) {
        this.sendings = sendings;
    }

    @Override
    public void start() {
        started = true;
    }

    @Scheduled(fixedDelayString = "PT20S", initialDelayString = "PT20S")
    void tick() {
        if (started) {
            sendings.sendDue();
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

    /** After the lists were read that a stop left behind. */
    @Override
    public int getPhase() {
        return Views.AFTER_FIRST_RECORDS + 3;
    }
}
