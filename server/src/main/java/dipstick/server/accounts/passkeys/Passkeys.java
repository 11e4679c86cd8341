package dipstick.server.accounts.passkeys;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.dao.DataAccessException;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The passkeys of accounts: made with a device, listed, removed. */
@Service
public class Passkeys {
    private static final JsonMapper JSON =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    private final PasskeyMapper passkeys;
    private final WebAuthnRelyingPartyOperations operations;

    Passkeys(PasskeyMapper passkeys, WebAuthnRelyingPartyOperations operations) {
        this.passkeys = passkeys;
        this.operations = operations;
    }

    /** @param label as its owner calls it */
    public record Passkey(String id, String label, Instant made, Instant lastUsed) {}

    public List<Passkey> of(String account) {
        return passkeys.handleOf(account).stream()
                .flatMap(handle -> passkeys.ofHandle(handle.handle()).stream())
                .map(row -> new Passkey(row.id(), row.label(), row.createdAt(), row.lastUsedAt()))
                .toList();
    }

    public boolean has(String account) {
        return passkeys.count(account) > 0;
    }

    /** What a device is asked for to make one; see {@link #make}. */
    public PublicKeyCredentialCreationOptions ask(Authentication who) {
        return operations.createPublicKeyCredentialCreationOptions(
                new ImmutablePublicKeyCredentialCreationOptionsRequest(who));
    }

    /** As browsers take it: {@code PublicKeyCredentialCreationOptionsJSON} of the standard. */
    public JsonNode asJson(PublicKeyCredentialCreationOptions asked) {
        return JSON.valueToTree(asked);
    }

    /**
     * Keeps what a device made.
     *
     * @param made {@code RegistrationResponseJSON} of the standard
     * @return whether it is what was asked for; else nothing is kept
     */
    @Transactional
    public boolean make(PublicKeyCredentialCreationOptions asked, Map<String, Object> made, String label) {
        try {
            PublicKeyCredential<AuthenticatorAttestationResponse> credential =
                    JSON.convertValue(made, new TypeReference<>() {});
            operations.registerCredential(
                    new ImmutableRelyingPartyRegistrationRequest(asked, new RelyingPartyPublicKey(credential, label)));
            return true;
        } catch (DataAccessException ours) {
            throw ours;
        } catch (RuntimeException notWhatWasAskedFor) {
            // The library says so with many kinds of exceptions; what a device sent is nobody's mistake to look into.
            return false;
        }
    }

    /** Whether the account had one of this id. */
    @Transactional
    public boolean remove(String account, String id) {
        return passkeys.deleteOf(account, id) == 1;
    }

    /** How many there were. */
    @Transactional
    public int removeAll(String account) {
        return passkeys.deleteAllOf(account);
    }
}
