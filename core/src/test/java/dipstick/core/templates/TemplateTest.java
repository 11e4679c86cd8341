package dipstick.core.templates;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

class TemplateTest {
    private static final String SET = """
            {"format": "dipstick-criteria/1", "id": "ears", "name": "Ears", "purpose": "Ears are looked at.",
             "termSets": [{"id": "check", "name": "hearing check",
                           "members": [{"code": "HC1"}, {"text": "audiogram", "match": "contains"}, {"keyword": "ear"}]}],
             "rosters": [{"id": "r", "name": "Known", "key": ["id"], "rows": [["p-1"], ["p-2"]]}],
             "include": [{"id": "site", "test": {"all": [{"field": "site", "in": ["Mill Lane"]},
                                                         {"field": "id", "in": ["p-77"]},
                                                         {"field": "wears_aid", "is": true},
                                                         {"age": {"from": 18}}]}}],
             "exclude": [{"id": "off", "test": {"events": {"terms": ["check"],
                          "where": [{"field": "status", "notIn": ["cancelled", "no show"]}]}}}]}
            """;

    private static ObjectNode json(String text) {
        return (ObjectNode) JsonMapper.shared().readTree(text);
    }

    @Test
    void a_set_becomes_a_template_in_which_nothing_of_this_practice_stays() {
        Template template = TemplateMaker.of(json(SET));
        assertThat(template.asks().stream().map(ask -> ask.pointer() + " " + ask.words()))
                .containsExactly(
                        "/termSets/0/members [hearing check, audiogram, ear]",
                        "/include/0/test/all/0/in [Mill Lane]",
                        "/include/0/test/all/1/in []",
                        "/exclude/0/test/events/where/0/notIn [cancelled, no show]");
        assertThat(template.asks().get(3).question())
                .isEqualTo("What is the status of a record called here that is “cancelled”, “no show” there?");
        assertThat(((Ask.Values) template.asks().get(3)).ofRecords()).isTrue();
        assertThat(template.json().get("document").toString())
                .doesNotContain("HC1", "Mill Lane", "p-1", "p-77", "cancelled")
                .contains("\"from\":18", "wears_aid");
        assertThat(template.json().toString()).doesNotContain("p-1", "p-77");
        assertThat(template.about()).isEqualTo("Ears are looked at.");
    }

    @Test
    void what_is_answered_stands_in_the_set_and_the_rest_stays_open() throws Exception {
        Template template = Template.read(TemplateMaker.of(json(SET)).json());
        List<List<JsonNode>> answers =
                List.of(List.of(json("{\"code\": \"X9\"}")), List.of(StringNode.valueOf("Harbour Row")));
        ObjectNode filled = template.filled(answers);
        assertThat(filled.at("/termSets/0/members/0/code").asString()).isEqualTo("X9");
        assertThat(filled.at("/include/0/test/all/0/in/0").asString()).isEqualTo("Harbour Row");
        assertThat(filled.at("/exclude/0/test/events/where/0/notIn").size()).isZero();
        assertThat(template.filled(List.of()))
                .as("a template is filled again and again")
                .isEqualTo(template.document());
    }

    @Test
    void a_term_set_is_of_the_kinds_in_which_it_is_looked_for_and_of_any_where_it_is_looked_for_in_all() {
        String twice = SET.replace(
                "{\"age\": {\"from\": 18}}", "{\"events\": {\"kinds\": [\"Visit\"], \"terms\": [\"check\"]}}");
        Template template = TemplateMaker.of(json(twice));
        Ask.Terms check = (Ask.Terms) template.asks().getFirst();
        assertThat(template.kindsOf(check)).as("the exclusion looks in all").isEmpty();
        Template visits = TemplateMaker.of(json(twice.replaceFirst("(?s)\"exclude\".*", "\"exclude\": []}")));
        assertThat(visits.kindsOf(check)).containsExactly("visit");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{}                                                                       | no template",
                "{\"format\": \"dipstick-template/2\", \"document\": {}}                  | no template",
                "{\"format\": \"dipstick-template/1\"}                                    | no criteria set in it",
                "{\"format\": \"dipstick-template/1\", \"document\": {}, \"asks\": [{}]}  | has no question",
                "{\"format\": \"dipstick-template/1\", \"document\": {\"a\": [1]}, \"asks\": [{\"at\": \"/a\", \"question\": \"What?\"}]} | not left open",
                "{\"format\": \"dipstick-template/1\", \"document\": {\"a\": []}, \"asks\": [{\"at\": \"a\", \"question\": \"What?\"}]} | not left open",
            })
    void what_is_no_template_is_refused_with_why(String file, String why) {
        assertThatThrownBy(() -> Template.read(json(file)))
                .isInstanceOf(InvalidTemplate.class)
                .hasMessageContaining(why);
    }
}
