package dipstick.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;

class StoppingTest {
    private static final Duration A_MOMENT = Duration.ofMillis(200);

    @Test
    void what_is_done_by_the_clock_is_done_to_its_end(@TempDir Path data) throws Exception {
        RunningServer server = RunningServer.over(data, Clock.systemUTC());
        CountDownLatch begun = new CountDownLatch(1);
        CompletableFuture<Boolean> atItsEnd = server.bean(ThreadPoolTaskScheduler.class)
                .submitCompletable(() -> {
                    begun.countDown();
                    Thread.sleep(A_MOMENT);
                    return true;
                });
        begun.await();
        server.stop();
        assertThat(atItsEnd).isCompletedWithValue(true);
    }
}
