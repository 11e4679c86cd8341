package dipstick.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every address of the description, with all that can be made of its own schema and more that cannot: nothing is our
 * mistake, and what is refused is a problem detail with a type of ours and a sentence.
 */
class AnyInputTest {
    private static final int TRIES = 10;
    private static final long SEED = 20_261_127;

    /** Which would end the sign-in, or never end. */
    private static final List<String> LEFT_OUT = List.of("/api/together");

    @TempDir
    private static Path data;

    private static RunningServer server;
    private static JsonNode description;

    @BeforeAll
    static void begin() throws Exception {
        server = RunningServer.over(data, Clock.systemUTC());
        Visitor coordinator = server.signedIn("begun", Role.COORDINATOR);
        People.bringIn(coordinator, "id,family_name,birth_date,site,provider\np1,Marl,1950-02-03,Mill Lane,Dr A\n");
        People.bringIn(coordinator, "id,person_id,kind,on\ne1,p1,visit,2026-01-02\n");
        People.publish(coordinator, "known", AnyValue.DOCUMENT);
        description = JsonMapper.shared().readTree(Path.of("../docs/openapi.json"));
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    @ParameterizedTest
    @EnumSource(Role.class)
    void nothing_that_is_sent_is_our_mistake(Role role) throws Exception {
        Visitor visitor = server.signedIn("fuzzing-" + role.name().toLowerCase(Locale.ROOT), role);
        AnyValue values =
                new AnyValue(description, new Random(SEED + role.name().hashCode()));
        Map<String, String> wrong = new TreeMap<>();
        // What the others may do, these two may do between them.
        int tries = role == Role.COORDINATOR || role == Role.ADMINISTRATOR ? TRIES : 1;
        for (var path : description.get("paths").properties()) {
            for (var operation : path.getValue().properties()) {
                if (LEFT_OUT.contains(path.getKey())) {
                    continue;
                }
                for (int i = 0; i < tries; i++) {
                    String address = address(path.getKey(), operation.getValue(), values);
                    String body = values.body(operation.getValue());
                    Reply reply = visitor.send(operation.getKey(), address, body, values.revision());
                    String why = wrong(reply);
                    if (!why.isEmpty()) {
                        wrong.putIfAbsent(
                                why + " " + operation.getKey() + " " + path.getKey(),
                                shortened(address) + " " + shortened(body) + " => " + shortened(reply.text()));
                    }
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static String wrong(Reply reply) {
        if (reply.status() >= 500) {
            return "our mistake";
        }
        if (reply.status() < 400) {
            return "";
        }
        if (!reply.text().startsWith("{") || !reply.type().startsWith("urn:dipstick:")) {
            return "no type";
        }
        return reply.json().path("detail").asString("").length() < 20 ? "no sentence" : "";
    }

    private static String shortened(String text) {
        return text.length() > 300 ? text.substring(0, 300) + "…" : text;
    }

    private static String address(String path, JsonNode operation, AnyValue values) {
        String address = path;
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : operation.path("parameters")) {
            String name = parameter.get("name").asString();
            String value = URLEncoder.encode(values.parameter(name), StandardCharsets.UTF_8)
                    .replace("+", "%20");
            switch (parameter.get("in").asString()) {
                case "path" -> address = address.replace("{" + name + "}", value.isEmpty() ? "-" : value);
                case "query" ->
                    query.append(query.isEmpty() ? "?" : "&")
                            .append(name)
                            .append("=")
                            .append(value);
                default -> {}
            }
        }
        return address + query;
    }
}
