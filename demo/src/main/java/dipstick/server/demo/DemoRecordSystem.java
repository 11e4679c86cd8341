package dipstick.server.demo;

import com.nimbusds.jose.JOSEException;
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
import dipstick.server.hooks.RecordSystem;
import dipstick.server.hooks.RecordSystemStandIn;
import dipstick.server.hooks.RecordSystems;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A chart on this machine that asks what is due by the real protocol (CDS Hooks 2.0), signed, over HTTP. */
@Component
@ConditionalOnProperty("dipstick.demo")
class DemoRecordSystem implements RecordSystemStandIn {
    private static final String ID = "demo-chart";
    private static final String ISSUER = "https://chart.otterbrook.example.org";
    private static final String NUMBERS = "https://chart.otterbrook.example.org/numbers";
    private static final Map<String, String> SERVICES =
            Map.of("patient-view", "due-when-opened", "appointment-book", "due-when-booked");

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final RecordSystems systems;
    private final Environment environment;
    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(PATIENCE).build();
    private final ECKey key;

    DemoRecordSystem(RecordSystems systems, Environment environment) throws JOSEException {
        this.systems = systems;
        this.environment = environment;
        this.key = new ECKeyGenerator(Curve.P_384)
                .keyID(UUID.randomUUID().toString())
                .generate();
    }

    /** With the key of this start. */
    @EventListener(ApplicationReadyEvent.class)
    void makeKnown() {
        systems.save(
                new RecordSystem(
                        ID,
                        "Chart (the demo's stand-in)",
                        ISSUER,
                        new JWKSet(key.toPublicJWK()).toString(),
                        NUMBERS,
                        "",
                        0),
                systems.find(ID).map(RecordSystem::revision).orElse(0));
    }

    @Override
    public Exchange ask(String hook, String person) {
        // The chart has ids of its own, and knows the practice's number as an identifier.
        String chart = "chart-" + Integer.toUnsignedString(person.hashCode(), Character.MAX_RADIX);
        ObjectNode asked = JSON.createObjectNode()
                .put("hook", hook)
                .put("hookInstance", UUID.randomUUID().toString())
                .put("fhirServer", ISSUER + "/fhir");
        asked.putObject("context").put("userId", "Practitioner/stand-in").put("patientId", chart);
        ObjectNode patient = asked.putObject("prefetch")
                .putObject("patient")
                .put("resourceType", "Patient")
                .put("id", chart);
        patient.putArray("identifier").addObject().put("system", NUMBERS).put("value", person);
        return send("/" + service(hook), asked);
    }

    private static String service(String hook) {
        return SERVICES.getOrDefault(hook, hook);
    }

    @Override
    public Exchange answer(String card, Optional<String> reason) {
        ObjectNode body = JSON.createObjectNode();
        ObjectNode feedback = body.putArray("feedback").addObject().put("card", card);
        feedback.put("outcome", reason.isPresent() ? "overridden" : "accepted");
        reason.ifPresent(
                why -> feedback.putObject("overrideReason").putObject("reason").put("display", why));
        feedback.put("outcomeTimestamp", Instant.now().toString());
        return send("/" + service("patient-view") + "/feedback", body);
    }

    private Exchange send(String path, ObjectNode body) {
        URI address =
                URI.create("http://localhost:" + environment.getProperty("local.server.port") + "/cds-services" + path);
        String text = JSON.writerWithDefaultPrettyPrinter().writeValueAsString(body);
        HttpRequest request = HttpRequest.newBuilder(address)
                .timeout(PATIENCE)
                .header("Content-Type", "application/json")
                .header("Authorization", "Bearer " + signed(address))
                .POST(HttpRequest.BodyPublishers.ofString(text))
                .build();
        long from = System.nanoTime();
        try {
            HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
            return new Exchange(
                    text,
                    response.statusCode(),
                    response.body(),
                    Duration.ofNanos(System.nanoTime() - from).toMillis());
        } catch (IOException unreachable) {
            throw new IllegalStateException("This server does not answer its own record system", unreachable);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("The server stops", stopped);
        }
    }

    private String signed(URI address) {
        Instant now = Instant.now();
        SignedJWT token = new SignedJWT(
                new JWSHeader.Builder(JWSAlgorithm.ES384)
                        .type(JOSEObjectType.JWT)
                        .keyID(key.getKeyID())
                        .build(),
                new JWTClaimsSet.Builder()
                        .issuer(ISSUER)
                        .audience(address.toString())
                        .issueTime(Date.from(now))
                        .expirationTime(Date.from(now.plusSeconds(300)))
                        .jwtID(UUID.randomUUID().toString())
                        .build());
        try {
            token.sign(new ECDSASigner(key));
            return token.serialize();
        } catch (JOSEException broken) {
            throw new IllegalStateException("A key that was just made does not sign", broken);
        }
    }
}
