package dipstick.server.records;

import dipstick.core.text.NormalText;
import java.util.function.Predicate;

/**
 * Who says what is to be written: a source owns what it brought, and what nobody brought by name is anybody's.
 *
 * @param source the system that says it; empty for none by name
 * @param givesWay whether what another source brought gives way to it, since it ranks lower
 * @param delivery in which it is said; 0 for none
 */
record Saying(String source, Predicate<String> givesWay, long delivery) {
    static final Saying OF_NOBODY = new Saying("", _ -> false, 0);

    /** The same of a record that names a source itself. */
    Saying of(String named) {
        return named.isEmpty() ? this : new Saying(named, givesWay, delivery);
    }

    boolean owns(String owner) {
        return owner.isEmpty() || NormalText.of(owner).equals(NormalText.of(source));
    }

    boolean mayChange(String owner) {
        return owns(owner) || givesWay.test(owner);
    }
}
