package dipstick.server.personal;

import dipstick.core.text.Fingerprint;
import dipstick.server.practice.Today;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Who was erased: kept by a fingerprint of their number, so that the next file does not bring them back. */
@Service
public class Erased {
    private static final int MOST_TOLD = 500;

    private final ErasureMapper erasures;
    private final Today today;

    Erased(ErasureMapper erasures, Today today) {
        this.erasures = erasures;
        this.today = today;
    }

    /** Belongs to the transaction that erases. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(String person, String stub, String by, String askedBy, String why) {
        erasures.insert(stub, Fingerprint.of(person), today.now(), by, askedBy, why);
    }

    /** The latest first. */
    public List<Erasure> latest() {
        return erasures.latest(MOST_TOLD);
    }

    /** Whether somebody, by id, was erased and is kept out; as it is now. */
    public Predicate<String> keptOut() {
        Set<String> fingerprints = Set.copyOf(erasures.keptOut());
        return fingerprints.isEmpty() ? _ -> false : person -> fingerprints.contains(Fingerprint.of(person));
    }

    /** From now on files may bring them in again; whether there was such an erasure that kept somebody out. */
    @Transactional
    public boolean letIn(long id) {
        return erasures.letIn(id) == 1;
    }
}
