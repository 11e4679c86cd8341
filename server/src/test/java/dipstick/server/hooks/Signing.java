package dipstick.server.hooks;

import com.nimbusds.jose.JOSEObjectType;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.ECDSASigner;
import com.nimbusds.jose.jwk.Curve;
import com.nimbusds.jose.jwk.ECKey;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.gen.ECKeyGenerator;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.SignedJWT;
import java.time.Instant;
import java.util.Date;
import java.util.UUID;

/** A record system's key, and what it signs. */
final class Signing {
    private final ECKey key;

    Signing() throws Exception {
        key = new ECKeyGenerator(Curve.P_384)
                .keyID(UUID.randomUUID().toString())
                .generate();
    }

    String publicKeys() {
        return new JWKSet(key.toPublicJWK()).toString();
    }

    String withPrivateKeys() {
        return new JWKSet(key).toString(false);
    }

    /** As a record system signs what it asks of an address. */
    static JWTClaimsSet.Builder claims(String issuer, String address) {
        Instant now = Instant.now();
        return new JWTClaimsSet.Builder()
                .issuer(issuer)
                .audience(address)
                .issueTime(Date.from(now))
                .expirationTime(Date.from(now.plusSeconds(300)))
                .jwtID(UUID.randomUUID().toString());
    }

    String token(JWTClaimsSet claims) throws Exception {
        SignedJWT token = new SignedJWT(
                new JWSHeader.Builder(JWSAlgorithm.ES384)
                        .type(JOSEObjectType.JWT)
                        .keyID(key.getKeyID())
                        .build(),
                claims);
        token.sign(new ECDSASigner(key));
        return token.serialize();
    }
}
