package dipstick.server.hooks;

import com.nimbusds.jose.jwk.JWK;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.KeyType;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.Problems;
import dipstick.server.web.Revision;
import java.text.ParseException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The record systems that are trusted: those that an administrator named, with their public keys. */
@Service
public class RecordSystems {
    private static final Set<KeyType> PUBLIC_KINDS = Set.of(KeyType.EC, KeyType.RSA);

    private final HookMapper hooks;
    private final AuditLog audit;

    RecordSystems(HookMapper hooks, AuditLog audit) {
        this.hooks = hooks;
        this.audit = audit;
    }

    List<RecordSystem> all() {
        return hooks.systems();
    }

    public Optional<RecordSystem> find(String id) {
        return hooks.system(id);
    }

    Optional<RecordSystem> issuing(String issuer) {
        return hooks.issuing(issuer);
    }

    /**
     * Saves one that was made of the one at a revision.
     *
     * @param seen 0 for a new one
     */
    @Transactional
    public RecordSystem save(RecordSystem wanted, int seen) {
        RecordSystem system = new RecordSystem(
                wanted.id(),
                wanted.name().strip(),
                wanted.issuer().strip(),
                publicKeys(wanted.keys()),
                wanted.numberSystem().strip(),
                wanted.source().strip(),
                seen + 1);
        boolean taken = hooks.issuing(system.issuer())
                .filter(other -> !other.id().equals(system.id()))
                .isPresent();
        if (taken) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "issuer-taken",
                    "Another record system signs as " + system.issuer() + " already. Nothing was saved.");
        }
        Revision.save(
                seen == 0, () -> hooks.insertSystem(system), () -> hooks.updateSystem(system), "this record system");
        audit.record(Act.RECORD_SYSTEM_CHANGED, system.id() + ", " + system.name());
        return system;
    }

    @Transactional
    void remove(String id) {
        if (hooks.deleteSystem(id) != 1) {
            throw Problems.refused(
                    HttpStatus.NOT_FOUND, "no-such-record-system", "There is no record system of this name any more.");
        }
        audit.record(Act.RECORD_SYSTEM_CHANGED, id + ", removed");
    }

    /** Only what may be known of the keys is kept, whatever was sent. */
    private static String publicKeys(String written) {
        try {
            JWKSet keys = JWKSet.parse(written);
            boolean usable = !keys.getKeys().isEmpty()
                    && keys.getKeys().stream().map(JWK::getKeyType).allMatch(PUBLIC_KINDS::contains);
            if (usable) {
                return keys.toPublicJWKSet().toString(true);
            }
        } catch (ParseException noKeys) {
            throw notKeys();
        }
        throw notKeys();
    }

    private static RuntimeException notKeys() {
        return Problems.refused(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "not-keys",
                "These are not public keys: a JSON Web Key Set is wanted, {\"keys\": […]}, of elliptic-curve or RSA keys."
                        + " Nothing was saved.");
    }
}
