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
    void a_draft_is_saved_apart_from_what_is_published() throws Exception {
        JsonNode draft = save("adults", "{'age': {'from': 18}}", "").json();
        assertThat(draft.get("revision").asInt()).isEqualTo(1);
        assertThat(draft.get("version").asInt()).isZero();
        assertThat(coordinator.get("/api/lists/adults").status()).isEqualTo(404);

        JsonNode published = publish("adults", "\"1\"", "for a start").json();
        assertThat(published.get("version").asInt()).isEqualTo(1);
        assertThat(published.get("draft").asBoolean()).isFalse();
        assertThat(coordinator.get("/api/lists/adults").status()).isEqualTo(200);

        save("adults", "{'age': {'from': 21}}", "\"2\"");
        assertThat(from("adults")).isEqualTo(21);
        assertThat(coordinator
                        .get("/api/criteria/adults/versions/1")
                        .json()
                        .at("/include/0/test/age/from")
                        .asInt())
                .isEqualTo(18);
        JsonNode back =
                coordinator.delete("/api/criteria/adults/draft", "\"3\"").json();
        assertThat(back.get("draft").asBoolean()).isFalse();
        assertThat(from("adults")).isEqualTo(18);
    }

    @Test
    void what_was_published_is_retired_and_never_removed() throws Exception {
        save("kept", "{'age': {'from': 18}}", "");
        publish("kept", "\"1\"", "");
        assertThat(coordinator.delete("/api/criteria/kept", "\"2\"").type()).isEqualTo("urn:dipstick:is-published");
        Reply retired = coordinator.put("/api/criteria/kept/retired", "{\"retired\": true}", "\"2\"");
        assertThat(retired.json().get("retired").asBoolean()).isTrue();
        assertThat(coordinator.get("/api/lists/kept").status()).isEqualTo(404);
        assertThat(coordinator.get("/api/criteria/kept/versions").json()).hasSize(1);
        coordinator.put("/api/criteria/kept/retired", "{\"retired\": false}", "\"3\"");
        assertThat(coordinator.get("/api/lists/kept").status()).isEqualTo(200);

        save("tried", "{'age': {'from': 18}}", "");
        assertThat(coordinator.delete("/api/criteria/tried", "\"7\"").status()).isEqualTo(412);
        assertThat(coordinator.delete("/api/criteria/tried", "\"1\"").status()).isEqualTo(204);
        assertThat(coordinator.get("/api/criteria/tried").status()).isEqualTo(404);
    }

    @Test
    void every_version_is_kept_with_what_it_changed_in_words_and_in_people() throws Exception {
        People.bringIn(coordinator, "id,birth_date\nversion-1,1950-01-01\nversion-2,1990-01-01\n");
        String mine = "{'field': 'id', 'startsWith': 'version-'}";
        String over60 = "{'all': [" + mine + ", {'age': {'from': 60}}]}";
        save("versions", "{'all': [" + mine + ", {'age': {'from': 18}}]}", "");
        publish("versions", "\"1\"", "first");
        JsonNode next = coordinator
                .post("/api/criteria/versions/versions/next", document("versions", over60))
                .json();
        assertThat(next.get("left").asInt()).isEqualTo(1);
        assertThat(next.at("/changes/0").asString()).contains("18 or over").contains("60 or over");
        save("versions", over60, "\"2\"");
        publish("versions", "\"3\"", "asked for by the practice");
        JsonNode versions = coordinator.get("/api/criteria/versions/versions").json();

        assertThat(versions).hasSize(2);
        assertThat(versions.at("/0/version").asInt()).isEqualTo(2);
        assertThat(versions.at("/0/note").asString()).isEqualTo("asked for by the practice");
        assertThat(versions.at("/0/on").asInt()).isEqualTo(1);
        assertThat(versions.at("/0/joined").asInt()).isZero();
        assertThat(versions.at("/0/left").asInt()).isEqualTo(1);
        assertThat(versions.at("/0/changes/0").asString()).contains("→");
        assertThat(versions.at("/1/on").asInt()).isEqualTo(2);
        assertThat(versions.at("/1/changes")).isEmpty();
        assertThat(coordinator.get("/api/criteria/versions/versions/9").status())
                .isEqualTo(404);
    }

    @Test
    void what_somebody_else_saved_meanwhile_is_never_overwritten() throws Exception {
        save("both", "{'age': {'from': 18}}", "");
        People.share(coordinator, "both", "CHANGE", "");
        Visitor colleague = People.coordinator();
        colleague.put("/api/criteria/both", document("both", "{'age': {'from': 30}}"), "\"1\"");

        Reply refused = save("both", "{'age': {'from': 40}}", "\"1\"");
        assertThat(refused.status()).isEqualTo(412);
        assertThat(refused.type()).isEqualTo("urn:dipstick:changed-meanwhile");
        assertThat(refused.json().get("detail").asString()).contains("not saved");
        assertThat(from("both")).isEqualTo(30);
        assertThat(publish("both", "\"1\"", "").status()).isEqualTo(412);
        Reply without = save("both", "{'age': {'from': 40}}", "");
        assertThat(without.status()).isEqualTo(428);
        assertThat(without.type()).isEqualTo("urn:dipstick:revision-missing");
        assertThat(coordinator
                        .putNew("/api/criteria/both", document("both", "{'age': {'from': 40}}"))
                        .type())
                .isEqualTo("urn:dipstick:name-taken");
    }

    @Test
    void a_set_that_cannot_be_evaluated_is_kept_as_a_draft_and_not_published() throws Exception {
        assertThat(save("wrong", "{'age': {'from': 40, 'through': 30}}", "").status())
                .isEqualTo(200);
        Reply refused = publish("wrong", "\"1\"", "");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().at("/errors/0/pointer").asString()).isEqualTo("/include/0/test/age");
        assertThat(coordinator
                        .put("/api/criteria/other", document("wrong", "{'all': []}"), "")
                        .type())
                .isEqualTo("urn:dipstick:other-id");
        assertThat(coordinator.put("/api/criteria/wrong", "[1]", "").status()).isEqualTo(422);
    }

    @Test
    void a_published_set_names_only_published_ones_and_closes_no_circle() throws Exception {
        save("inner", "{'age': {'from': 18}}", "");
        save("outer", "{'member': 'inner'}", "");
        assertThat(publish("outer", "\"1\"", "").type()).isEqualTo("urn:dipstick:names-unpublished");
        publish("inner", "\"1\"", "");
        assertThat(publish("outer", "\"1\"", "").status()).isEqualTo(200);
        save("inner", "{'member': 'outer'}", "\"2\"");
        assertThat(publish("inner", "\"3\"", "").status()).isEqualTo(422);
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

    private static Reply publish(String id, String ifMatch, String note) throws Exception {
        return coordinator.post("/api/criteria/" + id + "/publish", "{\"note\": \"" + note + "\"}", ifMatch);
    }

    private static int from(String id) throws Exception {
        return coordinator
                .get("/api/criteria/" + id)
                .json()
                .at("/document/include/0/test/age/from")
                .asInt();
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
