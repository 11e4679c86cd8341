package dipstick.server.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class CriteriaSetsTest {
    private static Visitor coordinator;

    @BeforeAll
    static void start() throws Exception {
        coordinator = People.coordinator();
    }

    @Test
    void a_set_is_saved_changed_and_removed_by_version() throws Exception {
        assertThat(save("adults", "{'age': {'from': 18}}", "")
                        .json()
                        .get("version")
                        .asInt())
                .isEqualTo(1);
        assertThat(save("adults", "{'age': {'from': 21}}", "\"1\"")
                        .json()
                        .get("version")
                        .asInt())
                .isEqualTo(2);
        assertThat(coordinator
                        .get("/api/criteria/adults")
                        .json()
                        .at("/document/include/0/test/age/from")
                        .asInt())
                .isEqualTo(21);
        assertThat(coordinator.delete("/api/criteria/adults", "\"1\"").status()).isEqualTo(412);
        assertThat(coordinator.delete("/api/criteria/adults", "\"2\"").status()).isEqualTo(204);
        assertThat(coordinator.get("/api/criteria/adults").status()).isEqualTo(404);
    }

    @Test
    void every_version_is_kept_with_what_it_changed_in_words_and_in_people() throws Exception {
        People.bringIn(coordinator, "PEOPLE", "id,birth_date\nversion-1,1950-01-01\nversion-2,1990-01-01\n");
        String mine = "{'field': 'id', 'startsWith': 'version-'}";
        save("versions", "{'all': [" + mine + ", {'age': {'from': 18}}]}", "");
        save("versions", "{'all': [" + mine + ", {'age': {'from': 60}}]}", "\"1\"");
        JsonNode versions = coordinator.get("/api/criteria/versions/versions").json();

        assertThat(versions).hasSize(2);
        assertThat(versions.at("/0/version").asInt()).isEqualTo(2);
        assertThat(versions.at("/0/on").asInt()).isEqualTo(1);
        assertThat(versions.at("/0/joined").asInt()).isZero();
        assertThat(versions.at("/0/left").asInt()).isEqualTo(1);
        assertThat(versions.at("/0/changes/0").asString())
                .startsWith("Changed: include ")
                .contains("18 or over")
                .contains("→")
                .contains("60 or over");
        assertThat(versions.at("/1/on").asInt()).isEqualTo(2);
        assertThat(versions.at("/1/changes")).isEmpty();
        assertThat(coordinator
                        .get("/api/criteria/versions/versions/1")
                        .json()
                        .at("/include/0/test/all/1/age/from")
                        .asInt())
                .isEqualTo(18);
        assertThat(coordinator.get("/api/criteria/versions/versions/9").status())
                .isEqualTo(404);

        coordinator.delete("/api/criteria/versions", "\"2\"");
        assertThat(coordinator.get("/api/criteria/versions/versions").status()).isEqualTo(404);
        assertThat(save("versions", mine, "").status()).isEqualTo(200);
        assertThat(coordinator.get("/api/criteria/versions/versions").json()).hasSize(1);
    }

    @Test
    void what_somebody_else_saved_meanwhile_is_never_overwritten() throws Exception {
        save("both", "{'age': {'from': 18}}", "");
        Visitor colleague = People.coordinator();
        colleague.put("/api/criteria/both", document("both", "{'age': {'from': 30}}"), "\"1\"");

        Reply refused = save("both", "{'age': {'from': 40}}", "\"1\"");
        assertThat(refused.status()).isEqualTo(412);
        assertThat(refused.type()).isEqualTo("urn:dipstick:changed-meanwhile");
        assertThat(refused.json().get("detail").asString())
                .contains("saved version 2")
                .contains("not saved");
        assertThat(coordinator
                        .get("/api/criteria/both")
                        .json()
                        .at("/document/include/0/test/age/from")
                        .asInt())
                .isEqualTo(30);
        assertThat(save("both", "{'age': {'from': 40}}", "").type()).isEqualTo("urn:dipstick:name-taken");
    }

    @Test
    void a_set_that_cannot_be_evaluated_is_not_saved() throws Exception {
        Reply refused = save("wrong", "{'age': {'from': 40, 'through': 30}}", "");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().at("/errors/0/pointer").asString()).isEqualTo("/include/0/test/age");
        assertThat(coordinator
                        .put("/api/criteria/other", document("wrong", "{'all': []}"), "")
                        .type())
                .isEqualTo("urn:dipstick:other-id");
        assertThat(coordinator.put("/api/criteria/wrong", "[1]", "").status()).isEqualTo(422);
    }

    @Test
    void a_set_that_another_names_cannot_be_removed_nor_close_a_circle() throws Exception {
        save("inner", "{'age': {'from': 18}}", "");
        assertThat(save("outer", "{'member': 'inner'}", "").status()).isEqualTo(200);
        assertThat(coordinator.delete("/api/criteria/inner", "\"1\"").type()).isEqualTo("urn:dipstick:is-named");
        assertThat(save("inner", "{'member': 'outer'}", "\"1\"").status()).isEqualTo(422);
        assertThat(coordinator.delete("/api/criteria/outer", "\"1\"").status()).isEqualTo(204);
        assertThat(coordinator.delete("/api/criteria/inner", "\"1\"").status()).isEqualTo(204);
    }

    @Test
    void the_bench_gives_levels_or_what_is_wrong() throws Exception {
        Reply levels = coordinator.post("/api/bench", draft("{'age': {'from': 18}}"));
        assertThat(levels.json()
                        .at("/levels/criteria/0/sentence/phrases/1/text")
                        .asString())
                .isEqualTo("18 or over");
        Reply wrong = coordinator.post("/api/bench", draft("{'age': {'from': 'old'}}"));
        assertThat(wrong.status()).isEqualTo(200);
        assertThat(wrong.json().has("levels")).isFalse();
        assertThat(wrong.json().at("/findings/0/pointer").asString()).isEqualTo("/include/0/test/age/from");
        assertThat(coordinator
                        .post("/api/bench/who", "{\"draft\": " + draft("{'age': {}}") + ", \"part\": \"ON_LIST\"}")
                        .status())
                .isEqualTo(422);
        assertThat(coordinator.post("/api/bench", "{}").status()).isEqualTo(422);
    }

    private static Reply save(String id, String test, String ifMatch) throws Exception {
        return coordinator.put("/api/criteria/" + id, document(id, test), ifMatch);
    }

    private static String draft(String test) {
        return "{\"settings\": {}, \"document\": " + document("draft", test) + "}";
    }

    private static String document(String id, String test) {
        return ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': 'Set " + id
                        + "', 'include': [{'id': 'a', 'test': " + test + "}]}")
                .replace('\'', '"');
    }
}
