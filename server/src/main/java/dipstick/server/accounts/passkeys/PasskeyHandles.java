package dipstick.server.accounts.passkeys;

import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.stereotype.Component;

/** The accounts as devices know them, kept for Spring Security, whose words for "nothing" are null. */
@Component
class PasskeyHandles implements PublicKeyCredentialUserEntityRepository {
    private final PasskeyMapper passkeys;

    PasskeyHandles(PasskeyMapper passkeys) {
        this.passkeys = passkeys;
    }

    @Override
    public @Nullable PublicKeyCredentialUserEntity findById(Bytes handle) {
        return passkeys.byHandle(handle.toBase64UrlString())
                .map(PasskeyHandles::entity)
                .orElse(null);
    }

    @Override
    public @Nullable PublicKeyCredentialUserEntity findByUsername(String account) {
        return passkeys.handleOf(account).map(PasskeyHandles::entity).orElse(null);
    }

    @Override
    public void save(PublicKeyCredentialUserEntity entity) {
        passkeys.putHandle(
                new PasskeyMapper.Handle(entity.getName(), entity.getId().toBase64UrlString()));
    }

    @Override
    public void delete(Bytes handle) {
        passkeys.deleteHandle(handle.toBase64UrlString());
    }

    private static PublicKeyCredentialUserEntity entity(PasskeyMapper.Handle handle) {
        return ImmutablePublicKeyCredentialUserEntity.builder()
                .id(Bytes.fromBase64(handle.handle()))
                .name(handle.account())
                .displayName(handle.account())
                .build();
    }
}
