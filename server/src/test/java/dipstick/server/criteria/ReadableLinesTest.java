package dipstick.server.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A set that cannot be evaluated says of every other criterion what it says. */
class ReadableLinesTest {
    private static final String ADULT = "{'id': 'adult', 'test': {'age': {'from': 18}}}";
    private static final String VISIT = "{'id': 'seen', 'test': {'events': {'kinds': ['visit']}}}";

    private static Visitor coordinator;

    @BeforeAll
    static void start() throws Exception {
        coordinator = People.coordinator();
    }

    @Test
    void every_other_line_is_said_and_has_no_numbers() throws Exception {
        JsonNode answer = ask("'include': [{'id': 'odd', 'test': {'field': 'phone', 'exists': true}}, " + ADULT
                + "], 'exclude': [" + VISIT + "], 'shouldHave': {'rule': 'any', 'of': [{'id': 'x', 'test': 7}]}");
        assertThat(answer.path("levels").isMissingNode()).isTrue();
        assertThat(answer.get("findings")).hasSize(2);
        assertThat(said(answer)).containsExactly("adult: aged 18 or over", "seen: had a visit at any time");
    }

    @Test
    void what_hangs_on_a_line_that_cannot_be_read_goes_with_it() throws Exception {
        JsonNode answer = ask("'include': [{'id': 'odd', 'test': {'field': 'phone', 'exists': true}}, " + ADULT
                + "], 'show': ['phone', {'criterion': 'odd', 'figure': 'date'}]");
        assertThat(said(answer)).containsExactly("adult: aged 18 or over");
    }

    @Test
    void a_set_that_is_not_there_leaves_the_other_lines() throws Exception {
        JsonNode answer = ask("'include': [{'id': 'other', 'test': {'list': 'never-was'}}, " + ADULT + "]");
        assertThat(said(answer)).containsExactly("adult: aged 18 or over");
    }

    @Test
    void what_is_no_set_at_all_says_nothing() throws Exception {
        assertThat(said(ask("'include': 'everybody', 'format': 'none'"))).isEmpty();
    }

    private static JsonNode ask(String rest) throws Exception {
        String document =
                ("{'format': 'dipstick-criteria/1', 'id': 'half', 'name': 'Half', " + rest + "}").replace('\'', '"');
        return coordinator
                .post("/api/bench", "{\"settings\": {}, \"document\": " + document + "}")
                .json();
    }

    private static List<String> said(JsonNode answer) {
        return answer.get("said")
                .valueStream()
                .map(one -> one.get("id").asString() + ": " + one.get("typed").asString())
                .toList();
    }
}
