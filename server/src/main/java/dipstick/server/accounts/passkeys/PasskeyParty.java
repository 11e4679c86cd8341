package dipstick.server.accounts.passkeys;

import dipstick.server.practice.PracticeSettings;
import java.net.URI;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;

/**
 * What devices are asked for: a passkey of this site that is found without a name, and that its device gives for its owner
 * alone (a finger, a face, a PIN). Possession and owner together are two factors (NIST SP 800-63B-4, section 3.1.7).
 */
@Configuration
class PasskeyParty {
    /** @param address under which browsers reach Dipstick: a passkey is good there and nowhere else */
    @Bean
    WebAuthnRelyingPartyOperations passkeyOperations(
            PasskeyHandles handles,
            KeptPasskeys passkeys,
            PracticeSettings practice,
            @Value("${dipstick.public-address}") URI address) {
        Webauthn4JRelyingPartyOperations operations = new Webauthn4JRelyingPartyOperations(
                handles,
                passkeys,
                PublicKeyCredentialRpEntity.builder()
                        .id(address.getHost())
                        .name(practice.practice().isBlank() ? "Dipstick" : practice.practice())
                        .build(),
                Set.of(address.toString()));
        operations.setCustomizeCreationOptions(
                options -> options.authenticatorSelection(AuthenticatorSelectionCriteria.builder()
                        .residentKey(ResidentKeyRequirement.REQUIRED)
                        .userVerification(UserVerificationRequirement.REQUIRED)
                        .build()));
        operations.setCustomizeRequestOptions(
                options -> options.userVerification(UserVerificationRequirement.REQUIRED));
        return operations;
    }
}
