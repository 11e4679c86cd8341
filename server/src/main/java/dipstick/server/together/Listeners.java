package dipstick.server.together;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.SessionEnded;
import dipstick.server.records.RecordsBehind;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    private final Sharing sharing;
    private final Accounts accounts;
    private final Told told;
    private final List<Listener> listeners = new CopyOnWriteArrayList<>();

    /** One thing after another, aside from whoever did it. */
    private final ExecutorService telling = Executors.newSingleThreadExecutor();

    Listeners(Sharing sharing, Accounts accounts, Told told) {
        this.sharing = sharing;
        this.accounts = accounts;
        this.told = told;
    }

    private volatile boolean running;

    /**
     * Tells first how far everybody was told, so that whoever comes back knows whether they missed anything.
     *
     * @param session with whose end the stream ends
     */
    SseEmitter open(Colleague colleague, String session) {
        // Without an end: the browser comes back by itself when the connection breaks.
        SseEmitter emitter = new SseEmitter(0L);
        Listener listener = new Listener(colleague.name(), session, emitter);
        emitter.onCompletion(() -> forget(listener));
        emitter.onError(_ -> forget(listener));
        listeners.add(listener);
        listener.start();
        listener.tell(SseEmitter.event().name("hello").data(Map.of("told", told.last())));
        if (!running) {
            listener.end();
        }
        return emitter;
    }

    private void forget(Listener listener) {
        listeners.remove(listener);
        listener.ended();
    }

    /** After what touched them is committed. */
    @TransactionalEventListener(fallbackExecution = true)
    void after(ListsTouched touched) {
        long number = told.next();
        inTurn(() -> {
            Map<String, List<TouchedList>> byAccount = new HashMap<>();
            for (Listener listener : listeners) {
                // As they may see them now, not when they sat down.
                Colleague colleague = accounts.colleague(listener.account());
                List<TouchedList> lists = byAccount.computeIfAbsent(colleague.name(), _ -> of(touched, colleague));
                if (colleague.closed()) {
                    listener.end();
                } else if (!lists.isEmpty()) {
                    listener.tell(SseEmitter.event()
                            .name("lists")
                            .id(String.valueOf(number))
                            .data(lists));
                }
            }
        });
    }

    private List<TouchedList> of(ListsTouched touched, Colleague colleague) {
        // Whoever sees some people only is not told the numbers of others.
        List<String> people = colleague.ownPeopleOnly()
                ? List.of()
                : touched.people().stream().sorted().toList();
        boolean mine = touched.whole() || touched.hands().contains(colleague.name());
        return touched.lists().stream()
                .filter(list -> sharing.of(colleague, list).includes(Right.VIEW))
                .sorted()
                .map(list -> new TouchedList(list, people, touched.whole(), mine, touched.open()))
                .toList();
    }

    @EventListener
    void after(SessionEnded ended) {
        listeners.stream()
                .filter(listener -> listener.session().equals(ended.session()))
                .forEach(Listener::end);
    }

    /** Whether the records shown are behind concerns everybody. */
    @EventListener
    void after(RecordsBehind standing) {
        inTurn(() -> listeners.forEach(
                listener -> listener.tell(SseEmitter.event().name("records").data(standing))));
    }

    /** Keeps connections open through what stands between, and finds those that broke. */
    @Scheduled(fixedDelayString = "PT20S")
    void beat() {
        inTurn(() ->
                listeners.forEach(listener -> listener.tell(SseEmitter.event().comment("still here"))));
    }

    private void inTurn(Runnable what) {
        if (running) {
            telling.execute(what);
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
        listeners.forEach(Listener::end);
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
