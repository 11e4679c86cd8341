package dipstick.server.hooks;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSVerifier;
import com.nimbusds.jose.crypto.factories.DefaultJWSVerifierFactory;
import com.nimbusds.jose.jwk.AsymmetricJWK;
import com.nimbusds.jose.jwk.JWK;
import com.nimbusds.jose.jwk.JWKMatcher;
import com.nimbusds.jose.jwk.JWKSelector;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.SignedJWT;
import dipstick.server.practice.Today;
import java.text.ParseException;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Tells who signed a request (CDS Hooks 2.0, “Trusting CDS Clients”): a JSON Web Token (RFC 7519) for the address that is
 * asked, signed with a key of a record system that is trusted, good for a short time and only once.
 */
@Component
class SignedRequests {
    /** None that is signed with a secret that both know, and none that is not signed at all. */
    private static final Set<JWSAlgorithm> ALGORITHMS = Set.of(
            JWSAlgorithm.ES384,
            JWSAlgorithm.RS384,
            JWSAlgorithm.ES256,
            JWSAlgorithm.RS256,
            JWSAlgorithm.ES512,
            JWSAlgorithm.RS512,
            JWSAlgorithm.PS256,
            JWSAlgorithm.PS384,
            JWSAlgorithm.PS512);

    /** Five minutes are asked for; some systems take longer. */
    private static final Duration LONGEST = Duration.ofMinutes(10);

    /** Clocks differ. */
    private static final Duration SKEW = Duration.ofSeconds(60);

    private static final int MOST_REMEMBERED = 100_000;
    private static final int LONGEST_ID = 200;

    private final RecordSystems systems;
    private final Today today;
    private final String address;

    /** Tokens that were shown, as long as they would be good. */
    private final Cache<String, Boolean> shown = Caffeine.newBuilder()
            .maximumSize(MOST_REMEMBERED)
            .expireAfterWrite(LONGEST.plus(SKEW).plus(SKEW))
            .build();

    SignedRequests(RecordSystems systems, Today today, @Value("${dipstick.public-address}") String address) {
        this.systems = systems;
        this.today = today;
        this.address = address;
    }

    /** Why a token is not taken, in words for whoever looks after the record system. */
    static final class NotTrusted extends Exception {
        private static final long serialVersionUID = 1L;

        NotTrusted(String why) {
            super(why);
        }

        String why() {
            return String.valueOf(getMessage());
        }
    }

    /**
     * @param asked the addresses by which the request may name itself
     * @throws NotTrusted where it is nobody's who is trusted, or not for this
     */
    RecordSystem signer(String token, List<String> asked) throws NotTrusted {
        try {
            SignedJWT signed = SignedJWT.parse(token);
            JWTClaimsSet claims = signed.getJWTClaimsSet();
            RecordSystem system = Optional.ofNullable(claims.getIssuer())
                    .flatMap(systems::issuing)
                    .orElseThrow(
                            () -> new NotTrusted("who signed it (iss) is not among the record systems known here"));
            requireSigned(signed, system);
            requireFor(claims, asked);
            requireOfNow(claims);
            requireFirst(system, claims);
            return system;
        } catch (ParseException | JOSEException unreadable) {
            throw new NotTrusted("it is not a signed JSON Web Token");
        }
    }

    private static void requireSigned(SignedJWT signed, RecordSystem system)
            throws NotTrusted, ParseException, JOSEException {
        JWSAlgorithm algorithm = signed.getHeader().getAlgorithm();
        if (!ALGORITHMS.contains(algorithm)) {
            throw new NotTrusted("it is not signed by a public key (alg), as by ES384 or RS384");
        }
        if (!isSignedBy(signed, JWKSet.parse(system.keys()))) {
            throw new NotTrusted("its signature is by none of the keys that are known of " + system.name());
        }
    }

    static boolean isSignedBy(SignedJWT signed, JWKSet keys) throws JOSEException {
        for (JWK key : new JWKSelector(JWKMatcher.forJWSHeader(signed.getHeader())).select(keys)) {
            if (key instanceof AsymmetricJWK known && signed.verify(verifier(signed, known))) {
                return true;
            }
        }
        return false;
    }

    private static JWSVerifier verifier(SignedJWT signed, AsymmetricJWK key) throws JOSEException {
        return new DefaultJWSVerifierFactory().createJWSVerifier(signed.getHeader(), key.toPublicKey());
    }

    private void requireFor(JWTClaimsSet claims, List<String> asked) throws NotTrusted {
        boolean here = claims.getAudience().stream()
                .anyMatch(to -> asked.contains(to) || to.equals(address + HookSecurity.SERVICES) || to.equals(address));
        if (!here) {
            throw new NotTrusted("it is for another address (aud) than the one that was asked");
        }
    }

    private void requireOfNow(JWTClaimsSet claims) throws NotTrusted {
        Instant now = today.now();
        Instant ends = time(claims.getExpirationTime(), "exp");
        Instant begins = time(claims.getIssueTime(), "iat");
        if (ends.plus(SKEW).isBefore(now)) {
            throw new NotTrusted("it was good until " + ends + " (exp), and it is " + now + " here");
        }
        if (begins.minus(SKEW).isAfter(now)) {
            throw new NotTrusted("it begins at " + begins + " (iat), and it is " + now + " here");
        }
        if (ends.isAfter(begins.plus(LONGEST))) {
            throw new NotTrusted("it is good for longer than " + LONGEST.toMinutes() + " minutes (iat, exp)");
        }
    }

    private static Instant time(Date claim, String name) throws NotTrusted {
        return Optional.ofNullable(claim)
                .map(Date::toInstant)
                .orElseThrow(() -> new NotTrusted("it does not say its " + name));
    }

    private void requireFirst(RecordSystem system, JWTClaimsSet claims) throws NotTrusted {
        String id = Optional.ofNullable(claims.getJWTID())
                .filter(one -> !one.isBlank() && one.length() <= LONGEST_ID)
                .orElseThrow(() -> new NotTrusted("it has no number of its own (jti)"));
        if (shown.asMap().putIfAbsent(system.id() + " " + id, Boolean.TRUE) != null) {
            throw new NotTrusted("it was shown before (jti)");
        }
    }
}
