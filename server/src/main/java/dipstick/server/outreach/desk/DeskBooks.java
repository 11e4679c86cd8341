package dipstick.server.outreach.desk;

import dipstick.server.criteria.CriteriaSets;
import dipstick.server.criteria.Evaluators;
import dipstick.server.criteria.ListsOutdated;
import dipstick.server.criteria.SavedSet;
import dipstick.server.outreach.attempts.OutcomesOffered;
import dipstick.server.records.RecordsChanged;
import dipstick.server.records.Views;
import dipstick.server.together.ListsTouched;
import jakarta.annotation.PreDestroy;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.ErrorResponseException;

/**
 * Keeps the book of each list that somebody looks at, as the database has it: what was done about somebody is read anew of
 * them alone, before anybody is told of it (docs/decisions/0052-books-of-desks.md).
 */
@Component
class DeskBooks {
    private static final Logger LOG = LoggerFactory.getLogger(DeskBooks.class);

    /** Of more people at once the whole book is read. */
    private static final int MOST_ANEW = 200;

    private final DeskReader reader;
    private final CriteriaSets sets;
    private final Views views;
    private final Evaluators evaluators;
    private final Map<String, Kept> kept = new ConcurrentHashMap<>();
    private final ExecutorService keeping = Executors.newSingleThreadExecutor();
    private final AtomicBoolean waiting = new AtomicBoolean();
    private volatile boolean stopping;

    DeskBooks(DeskReader reader, CriteriaSets sets, Views views, Evaluators evaluators) {
        this.reader = reader;
        this.sets = sets;
        this.views = views;
        this.evaluators = evaluators;
    }

    /** What a book was read from, besides what is done about people. */
    private record Source(long view, LocalDate day, int version) {}

    private record Read(Source source, DeskBook book) {}

    /** The book of one list, and what it does not say yet; whoever does something never waits for it to be read. */
    private static final class Kept {
        private volatile Optional<Read> read = Optional.empty();
        private final Set<String> outdated = ConcurrentHashMap.newKeySet();
        private volatile boolean dropped;

        /** Those whom it does not know as they are; from now on it does, as far as they are read. */
        Set<String> takeOutdated() {
            Set<String> people = Set.copyOf(outdated);
            outdated.removeAll(people);
            return people;
        }
    }

    /** Whether the book of a list is there, so that what is new at most is still to be read. */
    boolean isRead(String set) {
        return Optional.ofNullable(kept.get(set))
                .filter(one -> one.read.isPresent() && !one.dropped)
                .isPresent();
    }

    /** The list of a set that is in force, as it is now. */
    DeskBook of(String set) {
        SavedSet saved = sets.getInForce(set);
        // What is not committed yet is nobody else's to see.
        if (TransactionSynchronizationManager.isActualTransactionActive()) {
            return reader.read(saved, evaluators.asOf(Optional.empty()));
        }
        Kept one = kept.computeIfAbsent(set, _ -> new Kept());
        synchronized (one) {
            // Known before anything is read, so that nothing is lost that is done meanwhile.
            boolean whole = one.dropped;
            one.dropped = false;
            Set<String> people = one.takeOutdated();
            Evaluators.Now now = evaluators.now();
            Optional<Read> before = one.read.filter(_ -> !whole);
            one.read = Optional.empty();
            DeskBook book = before.flatMap(read -> anew(saved, read, now, people))
                    .orElseGet(() -> reader.read(saved, now.evaluator()));
            one.read = Optional.of(
                    new Read(new Source(now.view().version(), now.evaluator().asOf(), saved.version()), book));
            return book;
        }
    }

    private Optional<DeskBook> anew(SavedSet saved, Read read, Evaluators.Now now, Set<String> people) {
        Source source = read.source();
        boolean fits = source.version() == saved.version()
                && source.day().equals(now.evaluator().asOf());
        return views.changedSince(source.view())
                .filter(_ -> fits)
                .map(changed -> Stream.concat(changed.stream(), people.stream()).collect(Collectors.toSet()))
                .filter(all -> all.size() <= MOST_ANEW)
                .map(all -> reader.readAnew(saved, read.book(), now.evaluator(), all));
    }

    @Order(Ordered.HIGHEST_PRECEDENCE)
    @TransactionalEventListener(fallbackExecution = true)
    void after(ListsTouched touched) {
        if (touched.people().isEmpty()) {
            kept.forEach((set, one) -> {
                if (touched.lists().contains(set)) {
                    one.dropped = true;
                }
            });
        } else {
            // Who is in a hand, or was reached, is so on each of their lists.
            kept.values().forEach(one -> one.outdated.addAll(touched.people()));
        }
    }

    /** Before anybody asks: what is read by then opens at once. */
    @EventListener(ApplicationReadyEvent.class)
    void readAll() {
        keeping.execute(() -> sets.inForce().forEach(set -> readAhead(set.id())));
    }

    /** Nobody need wait for those that were read anew, and the records of before are let go of. */
    @EventListener
    void after(RecordsChanged change) {
        if (!waiting.getAndSet(true)) {
            keeping.execute(() -> {
                waiting.set(false);
                kept.keySet().forEach(this::readAhead);
            });
        }
    }

    private void readAhead(String set) {
        if (stopping) {
            return;
        }
        try {
            of(set);
        } catch (ErrorResponseException outOfUse) {
            kept.remove(set);
        } catch (RuntimeException failure) {
            LOG.warn("The desk of {} could not be made ready; it is read when somebody opens it", set, failure);
            kept.remove(set);
        }
    }

    /** Waits for the list that is being read: a thread that is interrupted there closes the database's file for everybody. */
    @PreDestroy
    void stop() {
        stopping = true;
        keeping.close();
    }

    @EventListener
    void after(ListsOutdated outdated) {
        kept.clear();
    }

    /** What outcomes mean says who was reached. */
    @TransactionalEventListener
    void after(OutcomesOffered offered) {
        kept.clear();
    }
}
