package dipstick.core.evaluate;

import java.util.Optional;
import java.util.function.Supplier;

/** A value that is worked out when it is first asked for, and then kept. */
final class Once<T> {
    private final Supplier<T> work;
    private Optional<T> value = Optional.empty();

    Once(Supplier<T> work) {
        this.work = work;
    }

    synchronized T get() {
        T kept = value.orElseGet(work);
        value = Optional.of(kept);
        return kept;
    }
}
