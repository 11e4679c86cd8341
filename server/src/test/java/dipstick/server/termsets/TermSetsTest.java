package dipstick.server.termsets;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class TermSetsTest {
    private static Visitor coordinator;

    @BeforeAll
    static void bringIn() throws Exception {
        coordinator = People.coordinator();
        People.bringIn(coordinator, "id\nterm-1\nterm-2\nterm-3\n");
        People.bringIn(coordinator, """
                id,person_id,kind,code,system,text,on
                term-e1,term-1,visit,TS1,local,Shared balance check,2026-01-01
                term-e2,term-2,visit,TS2,local,Shared balance check (home),2026-01-01
                """);
        publish("ts-one", "shared", "[{'code': 'TS1'}]");
        publish("ts-two", "shared", "[{'code': 'TS1'}]");
        publish("ts-own", "shared", "[{'code': 'TS9'}]");
    }

    @Test
    void a_change_is_shown_before_it_is_saved_and_reaches_every_set_that_holds_it() throws Exception {
        JsonNode shared = shared("shared");
        assertThat(shared.get("usedBy").toString())
                .contains("Set ts-one", "Set ts-two")
                .doesNotContain("ts-own");
        int version = shared.get("version").asInt();
        String change = change("[{'code': 'TS1'}, {'code': 'TS2'}]", "[{'text': 'balance check of the car'}]");

        JsonNode effects =
                coordinator.post("/api/term-sets/shared/effects", change).json();
        assertThat(effects).hasSize(2);
        assertThat(effects.at("/0/left").asInt()).isEqualTo(1);
        assertThat(effects.at("/0/joined").asInt()).isZero();
        assertThat(shared("shared")).isEqualTo(shared);

        JsonNode saved = coordinator
                .put("/api/term-sets/shared", change, "\"" + version + "\"")
                .json();
        assertThat(saved.at("/termSet/version").asInt()).isEqualTo(version + 1);
        assertThat(saved.get("sets")).hasSize(2);
        JsonNode set = coordinator.get("/api/criteria/ts-one").json();
        assertThat(set.at("/document/termSets/0/members")).hasSize(2);
        assertThat(set.get("version").asInt()).isEqualTo(2);
        assertThat(coordinator
                        .get("/api/criteria/ts-one/versions")
                        .json()
                        .at("/0/note")
                        .asString())
                .isEqualTo("The term set “Shared” was changed");
        assertThat(coordinator
                        .get("/api/criteria/ts-own")
                        .json()
                        .at("/document/termSets/0/members/0/code")
                        .asString())
                .isEqualTo("TS9");
        assertThat(coordinator.get("/api/term-sets/shared/versions").json()).hasSize(version + 1);
        assertThat(shared("shared").at("/leftOut/0/text").asString()).isEqualTo("balance check of the car");

        Reply late = coordinator.put("/api/term-sets/shared", change, "\"" + version + "\"");
        assertThat(late.status()).isEqualTo(412);
        assertThat(late.json().get("detail").asString()).contains("Nothing of yours was saved");
    }

    @Test
    void wordings_like_its_members_are_offered() throws Exception {
        publish("ts-offered", "offered", "[{'code': 'TS1'}]");
        JsonNode offered =
                coordinator.get("/api/term-sets/offered/offered").json().get("terms");
        assertThat(offered.valueStream().map(term -> term.get("says").asString()))
                .containsExactly("Shared balance check (home)");
        assertThat(offered.at("/0/people").asInt()).isEqualTo(1);
        assertThat(offered.at("/0/first").asString()).isEqualTo("2026-01-01");
        coordinator.put(
                "/api/term-sets/offered",
                change("[{'code': 'TS1'}]", "[{'text': 'Shared balance check (home)'}]"),
                "\"1\"");
        assertThat(coordinator.get("/api/term-sets/offered/offered").json().get("terms"))
                .isEmpty();
    }

    @Test
    void what_cannot_be_a_term_set_is_told_and_a_removed_one_leaves_its_copies() throws Exception {
        publish("ts-removed", "removed", "[{'code': 'TS1'}]");
        Reply wrong = coordinator.put("/api/term-sets/removed", change("[{'kode': 'TS1'}]", "[]"), "\"1\"");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.json().get("detail").asString()).contains("A member has exactly one of");
        assertThat(coordinator.delete("/api/term-sets/removed", "\"1\"").status())
                .isEqualTo(204);
        assertThat(coordinator.get("/api/term-sets/removed/versions").status()).isEqualTo(404);
        assertThat(coordinator.get("/api/lists/ts-removed").status()).isEqualTo(200);
    }

    private static JsonNode shared(String id) throws Exception {
        return coordinator
                .get("/api/term-sets")
                .json()
                .valueStream()
                .filter(one -> one.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static String change(String members, String leftOut) {
        return ("{'name': 'Shared', 'members': " + members + ", 'leftOut': " + leftOut + "}").replace('\'', '"');
    }

    private static void publish(String id, String termSet, String members) throws Exception {
        String document = ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': 'Set " + id + "',"
                        + "'termSets': [{'id': '" + termSet + "', 'name': 'Shared', 'members': " + members + "}],"
                        + "'include': [{'id': 'mine', 'test': {'field': 'id', 'startsWith': 'term-'}}],"
                        + "'shouldHave': {'rule': 'any', 'of': [{'id': 'a', 'test': {'events': {'terms': ['" + termSet
                        + "']}}}]}}")
                .replace('\'', '"');
        People.publish(coordinator, id, document);
    }
}
