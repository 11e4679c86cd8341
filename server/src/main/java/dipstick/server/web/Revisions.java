package dipstick.server.web;

import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The revisions of what has none in a table of its own, each thing by a name such as {@code outcomes}. */
@Component
public class Revisions {
    private final RevisionMapper revisions;

    Revisions(RevisionMapper revisions) {
        this.revisions = revisions;
    }

    /** 0 where it was never changed. */
    public int of(String thing) {
        return revisions.of(thing).orElse(0);
    }

    /**
     * Goes on to the next revision within the transaction that changes the thing; refused where it is not at the revision
     * any more to which the change was made.
     *
     * @param what is changed, as in “the outcomes”
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void next(String thing, int seen, String what) {
        Revision.save(seen == 0, () -> revisions.insert(thing), () -> revisions.next(thing, seen), what);
    }
}
