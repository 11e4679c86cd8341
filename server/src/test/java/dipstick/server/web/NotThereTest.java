package dipstick.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What belongs to somebody else is answered, at every address of the description, as what never was: whoever may not see a
 * thing does not learn that it exists.
 */
class NotThereTest {
    private static final int TRIES = 6;
    private static final long SEED = 20_261_128;

    /** A name that is taken cannot be given again, so that it is taken is told to who gives names. */
    private static final List<String> GIVES_NAMES = List.of("put /api/criteria/{id}", "put /api/criteria/{id}/draft");

    @TempDir
    private static Path data;

    private static RunningServer server;
    private static JsonNode description;
    private static Visitor keeper;

    @BeforeAll
    static void begin() throws Exception {
        server = RunningServer.over(data, Clock.systemUTC());
        keeper = server.signedIn("keeper", Role.COORDINATOR);
        People.bringIn(
                keeper,
                "id,family_name,birth_date,site,provider\np1,Marl,1950-02-03,Mill Lane,Dr A\np2,Vask,1951-02-03,Mill Lane,Dr B\n");
        People.bringIn(keeper, "id,person_id,kind,on\ne1,p1,visit,2020-01-02\ne2,p2,visit,2020-01-02\n");
        People.publishPrivately(keeper, "secret", AnyValue.DOCUMENT.replace("\"known\"", "\"secret\""));
        keeper.post("/api/lists/secret/readings", "");
        People.publish(keeper, "shared", AnyValue.DOCUMENT.replace("\"known\"", "\"shared\""));
        keeper.post("/api/lists/shared/readings", "");
        description = JsonMapper.shared().readTree(Path.of("../docs/openapi.json"));
    }

    @AfterAll
    static void end() {
        server.stop();
    }

    private record Operation(String method, String path, JsonNode described) {
        @Override
        public String toString() {
            return method + " " + path;
        }

        /** @param named the value of what stands in braces */
        String address(Map<String, String> named) {
            String address = path;
            for (Map.Entry<String, String> one : named.entrySet()) {
                address = address.replace("{" + one.getKey() + "}", one.getValue());
            }
            return address.replaceAll("\\{[^}]*}", "1");
        }
    }

    private static List<Operation> operations(String beginning) {
        List<Operation> found = new ArrayList<>();
        for (var path : description.get("paths").properties()) {
            if (path.getKey().startsWith(beginning)) {
                path.getValue()
                        .properties()
                        .forEach(one -> found.add(new Operation(one.getKey(), path.getKey(), one.getValue())));
            }
        }
        assertThat(found).isNotEmpty();
        return found;
    }

    /** With the same body, to one that is somebody else's and to one that never was: the same answer. */
    private static Map<String, String> differences(
            Visitor visitor, List<Operation> operations, Map<String, String> theirs, Map<String, String> nobodys)
            throws Exception {
        Map<String, String> differences = new TreeMap<>();
        for (Operation operation : operations) {
            AnyValue values = new AnyValue(description, new Random(SEED + operation.hashCode()));
            for (int i = 0; i < TRIES; i++) {
                String body = values.body(operation.described());
                String revision = values.revision();
                Reply of = visitor.send(operation.method(), operation.address(theirs), body, revision);
                Reply never = visitor.send(operation.method(), operation.address(nobodys), body, revision);
                String one = told(of, theirs);
                String other = told(never, nobodys);
                if (!one.equals(other)) {
                    differences.putIfAbsent(operation.toString(), one + "\n  but " + other + "\n  for " + body);
                }
            }
        }
        return differences;
    }

    /** Which of several wrong fields is told of first is chance, and so is the time. */
    private static String told(Reply reply, Map<String, String> named) {
        String text = reply.status() >= 400
                ? reply.type() + " " + reply.json().path("detail").asString("")
                : reply.text().replaceAll("\\d{4}-\\d\\d-\\d\\dT[0-9:.]+Z", "TIME");
        for (String name : named.values()) {
            text = text.replace(name, "NAMED");
        }
        return reply.status() + " " + (text.length() > 300 ? text.substring(0, 300) : text);
    }

    @ParameterizedTest
    @EnumSource(Role.class)
    void a_private_set_and_its_list_are_as_if_they_never_were(Role role) throws Exception {
        Visitor visitor = server.signedIn("curious-" + role.name().toLowerCase(Locale.ROOT), role);
        List<Operation> operations = new ArrayList<>(operations("/api/lists/{"));
        operations.addAll(operations("/api/criteria/{"));
        operations.addAll(operations("/api/sharing/{"));
        operations.removeIf(operation -> GIVES_NAMES.contains(operation.toString()));
        Map<String, String> theirs = Map.of("id", "secret", "set", "secret", "person", "p1");
        Map<String, String> nobodys = Map.of("id", "never-was", "set", "never-was", "person", "p1");
        assertThat(differences(visitor, operations, theirs, nobodys)).isEmpty();
    }

    @Test
    void another_provider_s_person_is_nobody_to_who_sees_own_people_only() throws Exception {
        Visitor administrator = server.signedIn("adm", Role.ADMINISTRATOR);
        for (String role : List.of("COORDINATOR", "CLINICIAN", "CALLER")) {
            String name = "own-" + role.toLowerCase(Locale.ROOT);
            administrator.put("/api/accounts/" + name, """
                    {"displayName": "Own", "roles": ["%s"], "provider": "Dr A", "ownPeopleOnly": true,
                     "givenListsOnly": false, "closed": false, "password": "some long words here"}""".formatted(role), "\"0\"");
            Visitor own = server.visitor().signIn(name, "some%20long%20words%20here");
            List<Operation> operations = new ArrayList<>(operations("/api/people/{"));
            operations.addAll(operations("/api/lists/{id}/people/{"));
            operations.addAll(operations("/api/lists/{set}/desk/people/{"));
            Map<String, String> theirs = Map.of("id", "shared", "set", "shared", "person", "p2");
            Map<String, String> nobodys = Map.of("id", "shared", "set", "shared", "person", "p0");
            assertThat(differences(own, operations, theirs, nobodys)).as(role).isEmpty();
        }
        assertThat(keeper.get("/api/people/p2").status())
                .as("who is still there")
                .isEqualTo(200);
    }

    @Test
    void a_colleague_s_session_token_and_passkey_cannot_be_ended_and_are_not_there() throws Exception {
        String token = keeper.post(
                        "/api/session/tokens",
                        "{\"current\": \"a long password\", \"label\": \"x\", \"scopes\": [\"LISTS_READ\"], \"days\": 5}")
                .json()
                .get("token")
                .asString();
        String tokenId =
                keeper.get("/api/session/tokens").json().at("/tokens/0/id").asString();
        String session = keeper.get("/api/session/sessions").json().at("/0/id").asString();
        for (Role role : Role.values()) {
            Visitor visitor = server.signedIn("ending-" + role.name().toLowerCase(Locale.ROOT), role);
            for (String[] one : new String[][] {
                {"/api/session/tokens/", tokenId},
                {"/api/session/sessions/", session},
                {"/api/session/second-factor/passkeys/", tokenId}
            }) {
                assertThat(told(visitor.delete(one[0] + one[1]), Map.of("id", one[1])))
                        .startsWith("404")
                        .isEqualTo(told(visitor.delete(one[0] + "never-was"), Map.of("id", "never-was")));
            }
        }
        assertThat(server.program(token).get("/api/lists").status()).isEqualTo(200);
        assertThat(keeper.get("/api/session/tokens").status()).isEqualTo(200);
    }
}
