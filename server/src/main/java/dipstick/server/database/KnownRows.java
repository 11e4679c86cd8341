package dipstick.server.database;

import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.util.function.SingletonSupplier;

/**
 * What is read of a mapper's tables by nearly every request, and seldom written: read once, until something is written by
 * that mapper.
 */
public final class KnownRows<V> {
    private final Supplier<V> read;
    private volatile SingletonSupplier<V> known;

    KnownRows(Supplier<V> read) {
        this.read = read;
        this.known = SingletonSupplier.of(read);
    }

    /** As it is committed; nothing within a transaction, which sees what it writes itself and has to ask the database. */
    public Optional<V> now() {
        return TransactionSynchronizationManager.isActualTransactionActive()
                ? Optional.empty()
                : Optional.of(known.obtain());
    }

    /** Whoever is reading at this moment reads into what is let go of here, so that nothing of before is kept. */
    void forget() {
        known = SingletonSupplier.of(read);
    }
}
