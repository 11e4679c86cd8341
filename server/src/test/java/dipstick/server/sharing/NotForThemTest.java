package dipstick.server.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Ways round to what is not for whoever asks. */
class NotForThemTest {
    private static Visitor orla;
    private static Visitor other;

    private static String set(String id, String include) {
        return "{\"format\": \"dipstick-criteria/1\", \"id\": \"" + id + "\", \"name\": \"The " + id
                + "\", \"include\": [{\"id\": \"a\", \"test\": " + include + "}]}";
    }

    @BeforeAll
    static void begin() throws Exception {
        orla = People.signedIn("nft-orla", Role.COORDINATOR);
        other = People.signedIn("nft-other", Role.COORDINATOR);
        People.bringIn(orla, "id,family_name,provider\nnft-1,Ash,Dr Rook\nnft-2,Birch,Dr Wren\nnft-3,Elm,Dr Wren\n");
        String mine = "{\"field\": \"id\", \"startsWith\": \"nft-\"}";
        People.publishPrivately(orla, "nft-secret", set("nft-secret", mine));
        People.publish(orla, "nft-shared", set("nft-shared", mine));
        People.publish(orla, "nft-names", set("nft-names", "{\"member\": \"nft-secret\"}"));
    }

    private static String draft(String member) {
        return "{\"document\": " + set("nft-draft", "{\"member\": \"" + member + "\"}") + ", \"settings\": {}}";
    }

    @Test
    void a_private_set_is_no_set_to_others_on_the_bench_nor_when_they_publish() throws Exception {
        String refused = other.post("/api/bench", draft("nft-secret")).text();
        assertThat(refused)
                .isEqualTo(other.post("/api/bench", draft("nft-gone")).text().replace("nft-gone", "nft-secret"));
        assertThat(refused).contains("/include/0/test/member");
        for (String address : new String[] {"who", "near", "person", "ribbon"}) {
            String asked = address.equals("ribbon")
                    ? draft("nft-secret")
                    : "{\"draft\": " + draft("nft-secret") + ", \"part\": \"ON_LIST\", \"person\": \"nft-1\"}";
            assertThat(other.post("/api/bench/" + address, asked).status())
                    .as(address)
                    .isEqualTo(422);
        }
        assertThat(other.post(
                                "/api/bench/typed",
                                "{\"document\": " + set("nft-draft", "{\"age\": {\"from\": 1}}")
                                        + ", \"typed\": \"on the list of The nft\", \"caret\": 22}")
                        .text())
                .contains("The nft-shared")
                .doesNotContain("nft-secret");
        other.put("/api/criteria/nft-draft", set("nft-draft", "{\"member\": \"nft-secret\"}"), "");
        assertThat(other.post("/api/criteria/nft-draft/publish", "{\"note\": \"\"}", "\"1\"")
                        .type())
                .isEqualTo("urn:dipstick:invalid-criteria");
        assertThat(orla.post("/api/bench", draft("nft-secret")).json().has("levels"))
                .isTrue();
    }

    @Test
    void a_shared_list_may_rest_on_a_private_set() throws Exception {
        assertThat(other.get("/api/lists/nft-names").json().get("rows")).hasSize(3);
    }

    @Test
    void nobody_is_given_people_whom_they_may_not_see() throws Exception {
        Visitor administrator = People.signedIn("nft-adam", Role.ADMINISTRATOR);
        administrator.put("/api/accounts/nft-rook", """
                {"displayName": "Dr Rook", "roles": ["CLINICIAN"], "provider": "Dr Rook", "ownPeopleOnly": true,
                 "givenListsOnly": false, "closed": false, "password": "several words at once"}""", "\"0\"");
        Desks desk = new Desks(orla, "nft-shared");
        assertThat(Desks.refusal(desk.does("GIVE", "nft-2", "to", "\"nft-rook\"")))
                .contains("sees their own people only");
        desk.does("GIVE", "nft-1", "to", "\"nft-rook\"");
        Visitor rook = RunningServer.shared().visitor().signIn("nft-rook", "several%20words%20at%20once");
        JsonNode today = rook.get("/api/today").json();
        assertThat(today.get("handedOver")
                        .valueStream()
                        .map(one -> one.at("/person/id").asString()))
                .containsExactly("nft-1");
        // She changes over to another colleague while Dr Rook has her in hand.
        People.bringIn(orla, "id,family_name,provider\nnft-1,Ash,Dr Wren\n");
        assertThat(rook.get("/api/today").json().get("handedOver")).isEmpty();
        assertThat(rook.get("/api/today").json().get("followUps")).isEmpty();
        People.bringIn(orla, "id,family_name,provider\nnft-1,Ash,Dr Rook\n");
    }

    @Test
    void a_manager_reads_no_name_of_a_private_list_in_the_workload() throws Exception {
        new Desks(orla, "nft-secret").does("TAKE", "nft-2");
        Visitor manager = People.signedIn("nft-maud", Role.MANAGER);
        assertThat(manager.get("/api/workload").text())
                .contains("lists that are not shared with you")
                .doesNotContain("nft-secret");
    }

    @Test
    void of_a_private_list_only_that_somebody_was_rung_is_told_so_that_nobody_rings_them_again() throws Exception {
        Visitor caller = People.signedIn("nft-tam", Role.CALLER);
        Desks secret = new Desks(orla, "nft-secret");
        secret.does("TAKE", "nft-3");
        secret.does("NOTE", "nft-3", "words", "\"told of the secret\"");
        secret.does("ATTEMPT", "nft-3", "outcome", "\"no-answer\"", "words", "\"about the secret\"");
        Desks shared = new Desks(caller, "nft-shared");
        assertThat(shared.log("nft-3"))
                .filteredOn(one -> !one.startsWith("JOINED"))
                .containsExactly("ATTEMPT No answer");
        JsonNode everywhere =
                caller.get("/api/lists/nft-shared/desk/people/nft-3").json();
        assertThat(everywhere.toString()).doesNotContain("secret");
        assertThat(everywhere
                        .get("acts")
                        .valueStream()
                        .map(act -> act.get("kind").asString() + " "
                                + act.get("list").asString()))
                .containsExactlyInAnyOrder("ATTEMPT ", "JOINED The nft-names", "JOINED The nft-shared");
        assertThat(new Desks(orla, "nft-secret").log("nft-3")).hasSizeGreaterThan(3);
    }
}
