package dipstick.server.together;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** A browser that takes nothing in keeps nobody waiting. */
class ListenerTest {
    /** A connection over which nothing goes until it is let. */
    private static final class Slow extends SseEmitter {
        private final CountDownLatch let = new CountDownLatch(1);
        private final CountDownLatch over = new CountDownLatch(1);
        private final List<SseEventBuilder> sent = new CopyOnWriteArrayList<>();

        @Override
        public void send(SseEventBuilder event) {
            awaitLet();
            sent.add(event);
        }

        /** Waits for what is on its way, as the real one does. */
        @Override
        public void complete() {
            awaitLet();
            over.countDown();
        }

        /** As a socket may, it does not hear of an interruption. */
        private void awaitLet() {
            while (let.getCount() > 0) {
                LockSupport.parkNanos(1_000_000);
                Thread.interrupted();
            }
        }
    }

    @Test
    @Timeout(20)
    void whoever_is_far_behind_is_let_go_of_and_nobody_waits() throws Exception {
        Slow slow = new Slow();
        Listener listener = new Listener("tam", "session", slow);
        listener.start();
        for (int i = 0; i < 2000; i++) {
            listener.tell(SseEmitter.event().name("lists").data(i));
        }
        assertThat(slow.sent).isEmpty();
        slow.let.countDown();
        assertThat(slow.over.await(10, TimeUnit.SECONDS))
                .as("its stream is ended, so that its browser comes back")
                .isTrue();
        assertThat(slow.sent.size()).isLessThan(300);
    }
}
