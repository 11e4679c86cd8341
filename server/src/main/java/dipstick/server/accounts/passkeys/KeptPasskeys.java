package dipstick.server.accounts.passkeys;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.stereotype.Component;

/** The passkeys of all accounts, kept for Spring Security. */
@Component
class KeptPasskeys implements UserCredentialRepository {
    private final PasskeyMapper passkeys;

    KeptPasskeys(PasskeyMapper passkeys) {
        this.passkeys = passkeys;
    }

    @Override
    public void delete(Bytes id) {
        passkeys.delete(id.toBase64UrlString());
    }

    @Override
    public void save(CredentialRecord one) {
        passkeys.put(new PasskeyMapper.Row(
                one.getCredentialId().toBase64UrlString(),
                one.getUserEntityUserId().toBase64UrlString(),
                one.getLabel(),
                new Bytes(one.getPublicKey().getBytes()).toBase64UrlString(),
                base64(one.getAttestationObject()),
                base64(one.getAttestationClientDataJSON()),
                one.getSignatureCount(),
                one.isUvInitialized(),
                one.isBackupEligible(),
                one.isBackupState(),
                one.getCreated(),
                one.getLastUsed()));
    }

    private static String base64(@Nullable Bytes bytes) {
        return Optional.ofNullable(bytes).map(Bytes::toBase64UrlString).orElse("");
    }

    @Override
    public @Nullable CredentialRecord findByCredentialId(Bytes id) {
        return passkeys.find(id.toBase64UrlString()).map(KeptPasskeys::of).orElse(null);
    }

    @Override
    public List<CredentialRecord> findByUserId(Bytes handle) {
        return passkeys.ofHandle(handle.toBase64UrlString()).stream()
                .map(KeptPasskeys::of)
                .toList();
    }

    private static CredentialRecord of(PasskeyMapper.Row row) {
        return ImmutableCredentialRecord.builder()
                .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
                .credentialId(Bytes.fromBase64(row.id()))
                .userEntityUserId(Bytes.fromBase64(row.handle()))
                .label(row.label())
                .publicKey(new ImmutablePublicKeyCose(
                        Bytes.fromBase64(row.publicKey()).getBytes()))
                .attestationObject(Bytes.fromBase64(row.attestation()))
                .attestationClientDataJSON(Bytes.fromBase64(row.clientData()))
                .signatureCount(row.signatureCount())
                .uvInitialized(row.verifiedSomebody())
                .backupEligible(row.backupEligible())
                .backupState(row.backedUp())
                // How a device is reached is for its browser to find out.
                .transports(Set.of())
                .created(row.createdAt())
                .lastUsed(row.lastUsedAt())
                .build();
    }
}
