package dipstick.server.together;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.SessionEnded;
import dipstick.server.records.RecordsBehind;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The browsers that are open, each told what its colleague may know (server-sent events, WHATWG HTML). */
@Component
class Listeners implements SmartLifecycle {
    private record Listener(String account, String session, SseEmitter emitter) {}

    private final Sharing sharing;
    private final Accounts accounts;
    private final Told told;
    private final List<Listener> listeners = new CopyOnWriteArrayList<>();

    /** One at a time and aside, so that a slow browser holds nobody up. */
    private final ExecutorService telling = Executors.newSingleThreadExecutor();

    Listeners(Sharing sharing, Accounts accounts, Told told) {
        this.sharing = sharing;
        this.accounts = accounts;
        this.told = told;
    }

    private volatile boolean running;

    /** @param session with whose end the stream ends */
    SseEmitter open(Colleague colleague, String session) {
        // Without an end: the browser comes back by itself when the connection breaks.
        SseEmitter emitter = new SseEmitter(0L);
        Listener listener = new Listener(colleague.name(), session, emitter);
        emitter.onCompletion(() -> listeners.remove(listener));
        emitter.onError(_ -> listeners.remove(listener));
        listeners.add(listener);
        tell(listener, SseEmitter.event().name("hello").data("{}"));
        if (!running) {
            emitter.complete();
        }
        return emitter;
    }

    /** After what touched them is committed. */
    @TransactionalEventListener(fallbackExecution = true)
    void after(ListsTouched touched) {
        long number = told.next();
        inTurn(() -> listeners.forEach(listener -> {
            // As they may see them now, not when they sat down.
            Colleague colleague = accounts.colleague(listener.account());
            List<String> lists = touched.lists().stream()
                    .filter(list -> sharing.of(colleague, list).includes(Right.VIEW))
                    .sorted()
                    .toList();
            if (colleague.closed()) {
                listener.emitter().complete();
            } else if (!lists.isEmpty()) {
                tell(
                        listener,
                        SseEmitter.event()
                                .name("lists")
                                .id(String.valueOf(number))
                                .data(lists));
            }
        }));
    }

    @EventListener
    void after(SessionEnded ended) {
        listeners.stream()
                .filter(listener -> listener.session().equals(ended.session()))
                .forEach(listener -> listener.emitter().complete());
    }

    /** Whether the records shown are behind concerns everybody. */
    @EventListener
    void after(RecordsBehind standing) {
        inTurn(() -> listeners.forEach(
                listener -> tell(listener, SseEmitter.event().name("records").data("{}"))));
    }

    /** Keeps connections open through what stands between, and finds those that broke. */
    @Scheduled(fixedDelayString = "PT20S")
    void beat() {
        inTurn(() ->
                listeners.forEach(listener -> tell(listener, SseEmitter.event().comment("still here"))));
    }

    private void inTurn(Runnable what) {
        if (running) {
            telling.execute(what);
        }
    }

    private void tell(Listener listener, SseEmitter.SseEventBuilder event) {
        try {
            listener.emitter().send(event);
        } catch (IOException | IllegalStateException gone) {
            listeners.remove(listener);
        }
    }

    @Override
    public void start() {
        running = true;
    }

    /** Before the server waits for what is still going on, which these streams do for ever. */
    @Override
    public void stop() {
        running = false;
        telling.shutdown();
        listeners.forEach(listener -> listener.emitter().complete());
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
