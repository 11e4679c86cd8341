package dipstick.server.audit;

import dipstick.core.text.Fingerprint;
import dipstick.server.audit.AuditMapper.Link;
import java.util.Optional;

/** Walks the chain of the log from its beginning, entry after entry, until one is not as it was written. */
final class ChainWalk {
    /** A sign that is taken out of every field, so that nothing can be moved from one to the next. */
    private static final String BETWEEN = "\u001F";

    private long count;
    private long place;
    private String before = "";
    private Optional<Long> broken = Optional.empty();

    /** @return whether the chain is right up to this entry */
    boolean takes(Link link) {
        // Where older ones were forgotten, the first that is kept is taken as it is.
        boolean begins = count == 0 && link.place() > 1;
        boolean follows = begins || (link.place() == place + 1 && link.hash().equals(hash(before, link.place(), link)));
        if (follows) {
            count++;
            place = link.place();
            before = link.hash();
        } else {
            broken = Optional.of(link.id());
        }
        return follows;
    }

    AuditChain.Verified result() {
        return new AuditChain.Verified(count, broken, before);
    }

    static String hash(String before, long place, Link link) {
        return Fingerprint.of(String.join(
                BETWEEN,
                before,
                String.valueOf(place),
                link.written(),
                link.account(),
                link.act(),
                link.subject().replace(BETWEEN, " "),
                link.address(),
                link.session()));
    }
}
