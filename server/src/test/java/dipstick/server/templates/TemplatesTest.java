package dipstick.server.templates;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The library, and a template of one practice that is opened at another. */
class TemplatesTest {
    private static Visitor orla;

    @BeforeAll
    static void begin() throws Exception {
        orla = People.coordinator();
        People.bringIn(orla, "id,status\ntpl-1,active\ntpl-2,moved away\n");
        People.bringIn(orla, """
                id,person_id,kind,code,text,status,on
                tpl-e1,tpl-1,medication,T-DIU,Diuretic for templates,current,2026-01-02
                                tpl-e2,tpl-1,result,T-REN,Renal test for templates,final,2026-01-02
                tpl-e3,tpl-1,contact,T-TRY,Hearing check for templates: no answer,,2026-01-02
                tpl-e4,tpl-1,visit,T-EAR,Hearing check for templates,done,2026-01-02

                """);
    }

    private static JsonNode opened(String chosen) throws Exception {
        return orla.post("/api/templates/opened", chosen).json();
    }

    /** All that is chosen at once, as the page sends it. */
    private static ArrayNode chosen(JsonNode opened) {
        ArrayNode answers = JsonMapper.shared().createArrayNode();
        opened.get("questions").forEach(question -> {
            ArrayNode answer = answers.addArray();
            question.get("choices").forEach(choice -> {
                if (choice.get("chosen").asBoolean()) {
                    answer.add(choice.get("answer"));
                }
            });
        });
        return answers;
    }

    private static Reply filled(String chosen, ArrayNode answers) throws Exception {
        ObjectNode body = JsonMapper.shared().createObjectNode();
        body.set("template", JsonMapper.shared().readTree(chosen));
        body.set("answers", answers);
        return orla.post("/api/templates/filled", body.toString());
    }

    @Test
    void each_of_the_library_asks_for_what_differs_and_is_a_set_once_it_is_answered() throws Exception {
        List<String> ids = orla.get("/api/templates")
                .json()
                .valueStream()
                .map(one -> one.get("id").asString())
                .toList();
        assertThat(ids).hasSize(11).contains("kidney-function");
        for (String id : ids) {
            String chosen = "{\"id\": \"" + id + "\"}";
            JsonNode opened = opened(chosen);
            assertThat(opened.get("questions").size()).as(id).isPositive();
            ArrayNode answers = JsonMapper.shared().createArrayNode();
            opened.get("questions").forEach(question -> {
                boolean isTerms = question.get("question").asString().startsWith("Which");
                answers.addArray()
                        .add(
                                isTerms
                                        ? JsonMapper.shared().createObjectNode().put("code", "X1")
                                        : JsonMapper.shared().getNodeFactory().stringNode("x"));
            });
            JsonNode document = filled(chosen, answers).json().get("document");
            Reply bench = orla.post("/api/bench", "{\"settings\": {}, \"document\": " + document + "}");
            assertThat(bench.status()).as(id + bench.text()).isEqualTo(200);
            assertThat(bench.json()
                            .get("findings")
                            .valueStream()
                            .filter(one -> one.get("pointer").asString().isEmpty()
                                    || !bench.json().has("levels"))
                            .count())
                    .as(id + bench.text())
                    .isZero();
        }
    }

    @Test
    void what_is_on_record_here_is_offered_and_what_is_worded_so_is_chosen() throws Exception {
        String kidney = "{\"id\": \"kidney-function\"}";
        JsonNode opened = opened(kidney);
        assertThat(opened.at("/questions/0/choices")
                        .valueStream()
                        .filter(choice -> choice.get("chosen").asBoolean())
                        .map(choice -> choice.get("says").asString()))
                .contains("code T-DIU", "“Diuretic for templates”");
        JsonNode moved = opened.at("/questions/2/choices")
                .valueStream()
                .filter(choice -> choice.get("says").asString().equals("moved away"))
                .findFirst()
                .orElseThrow();
        assertThat(moved.get("chosen").asBoolean()).isTrue();
        JsonNode document = filled(kidney, chosen(opened)).json().get("document");
        assertThat(document.at("/termSets/1/members").toString()).contains("T-REN");
        assertThat(document.at("/exclude/0/test/in").toString()).contains("moved away");
    }

    @Test
    void that_somebody_was_only_called_about_it_is_not_chosen_as_having_it() throws Exception {
        assertThat(opened("{\"id\": \"hearing-check\"}")
                        .at("/questions/0/choices")
                        .valueStream()
                        .filter(choice ->
                                choice.get("answer").path("code").asString("").startsWith("T-"))
                        .map(choice -> choice.get("says").asString() + " " + choice.get("chosen")))
                .containsExactlyInAnyOrder("code T-EAR true", "code T-TRY false");
    }

    @Test
    void a_set_of_here_is_made_a_template_for_others_and_what_is_none_is_refused() throws Exception {
        String set =
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"t\", \"name\": \"T\", \"termSets\": [{\"id\": \"d\","
                        + " \"name\": \"diuretic\", \"members\": [{\"code\": \"T-DIU\"}]}], \"include\": []}";
        JsonNode template = orla.post("/api/templates/made", "{\"document\": " + set + "}")
                .json()
                .get("template");
        assertThat(template.toString()).doesNotContain("T-DIU");
        JsonNode opened = opened("{\"file\": " + template + "}");
        assertThat(opened.at("/questions/0/choices/0/also").asString() + opened).contains("Diuretic for templates");
        assertThat(opened("{\"file\": " + set + "}").get("detail").asString())
                .startsWith("This is no template")
                .endsWith("Nothing was changed.");
        assertThat(orla.post("/api/templates/opened", "{\"id\": \"none\"}").status())
                .isEqualTo(404);
        assertThat(orla.post("/api/templates/opened", "{}").status()).isEqualTo(404);
    }
}
