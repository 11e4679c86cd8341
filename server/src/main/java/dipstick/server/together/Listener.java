package dipstick.server.together;

import java.io.IOException;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter.SseEventBuilder;

/** A browser that is open. It is told by a thread of its own, so that none waits for another one that is slow. */
final class Listener {
    /** Whoever is behind by more is let go of: the browser comes back and reads again what it missed. */
    private static final int MOST_WAITING = 256;

    private final String account;
    private final String session;
    private final SseEmitter emitter;
    private final BlockingQueue<SseEventBuilder> waiting = new ArrayBlockingQueue<>(MOST_WAITING);
    private final Thread telling;
    private final AtomicBoolean ending = new AtomicBoolean();

    Listener(String account, String session, SseEmitter emitter) {
        this.account = account;
        this.session = session;
        this.emitter = emitter;
        this.telling = Thread.ofVirtual().name("telling " + account).unstarted(this::tellAll);
    }

    String account() {
        return account;
    }

    String session() {
        return session;
    }

    void start() {
        telling.start();
    }

    void tell(SseEventBuilder event) {
        if (!waiting.offer(event)) {
            end();
        }
    }

    private void tellAll() {
        try {
            while (true) {
                emitter.send(waiting.take());
            }
        } catch (IOException | IllegalStateException | InterruptedException over) {
            // Nobody listens any more; the emitter tells so, and with it ends the thread.
        }
    }

    /** Ends the stream, and with it the thread; nobody waits for what is still on its way. */
    void end() {
        if (!ending.getAndSet(true)) {
            telling.interrupt();
            Thread.startVirtualThread(emitter::complete);
        }
    }

    /** The other side ended it. */
    void ended() {
        telling.interrupt();
    }
}
