package dipstick.core.evaluate;

import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * How long somebody waits for an answer. Whoever computes looks between two tests, and between two ranges of people, whether
 * they still do, and stops where they do not; what was computed by then is kept.
 */
public final class Patience {
    private static final ScopedValue<Patience> HERE = ScopedValue.newInstance();
    private static final Patience ENDLESS = new Patience(() -> false);

    private final BooleanSupplier isOver;

    private Patience(BooleanSupplier isOver) {
        this.isOver = isOver;
    }

    /** Nobody waits for it any more. */
    public static final class Over extends RuntimeException {
        private static final long serialVersionUID = 1L;

        /** Also for the threads that share the work, which make another one of the same kind. */
        public Over() {
            super("Nobody waits for this answer any more");
        }
    }

    /**
     * Does some work within a patience.
     *
     * @param isOver asked often, by several threads
     * @throws Over where it was over before the work was done
     */
    public static <T, X extends Throwable> T within(BooleanSupplier isOver, ScopedValue.CallableOp<? extends T, X> work)
            throws X {
        return ScopedValue.where(HERE, new Patience(isOver)).call(work);
    }

    /** Of this thread; those that it shares its work with are handed it. */
    static Patience here() {
        return Optional.of(HERE)
                .filter(ScopedValue::isBound)
                .map(ScopedValue::get)
                .orElse(ENDLESS);
    }

    void check() {
        if (isOver.getAsBoolean()) {
            throw new Over();
        }
    }
}
