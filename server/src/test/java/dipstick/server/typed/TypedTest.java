package dipstick.server.typed;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class TypedTest {
    private static final String DOCUMENT = ("{'format': 'dipstick-criteria/1', 'id': 'typed', 'name': 'Typed',"
                    + "'termSets': [{'id': 'aud', 'name': 'audiogram', 'members': [{'code': 'TYPED-1'}]}]}")
            .replace('\'', '"');

    private static Visitor coordinator;

    @BeforeAll
    static void bringIn() throws Exception {
        coordinator = People.coordinator();
        People.bringIn(coordinator, "id,site\ntyped-1,Typed Lane\ntyped-2,Typed Lane\ntyped-3,Typed Row\n");
        People.bringIn(coordinator, """
                id,person_id,kind,code,system,text,on,status
                typed-e1,typed-1,typed kind,TYPED-1,local,Typed audiogram,2026-01-01,
                typed-e2,typed-2,typed kind,TYPED-1,local,Typed audiogram,2026-01-01,
                typed-e3,typed-3,visit,TYPED-2,local,"Typed, otherwise",2026-01-01,"Typed, seen"
                """);
    }

    @Test
    void what_fits_is_a_test_with_its_sentence_and_its_people() throws Exception {
        JsonNode answer = typed("no audiogram in 2026");
        assertThat(answer.get("test")).isEqualTo(JsonMapper.shared().readTree("""
                {"events": {"terms": ["aud"], "window": {"dates": ["2026", "2026"]}}, "count": {"none": true}}"""));
        assertThat(answer.get("sentence").asString()).isEqualTo("had no audiogram from 1 Jan 2026 to 31 Dec 2026");
        assertThat(typed("id is typed-1, typed-2, typed-3 or nobody")
                        .at("/alone/yes")
                        .asInt())
                .isEqualTo(3);
    }

    @Test
    void a_mistake_has_its_spot_also_where_only_the_sense_is_wrong() throws Exception {
        assertThat(typed("aged plenty").get("mistake"))
                .isEqualTo(JsonMapper.shared()
                        .readTree("{\"from\": 5, \"to\": 11, \"message\": "
                                + typed("aged plenty").at("/mistake/message") + "}"));
        assertThat(typed("aged 50 to 30").at("/mistake/message").asString())
                .isEqualTo("The ages are turned round: from 50 is above through 30.");
    }

    @Test
    void kinds_term_sets_values_and_terms_are_offered_with_their_counts() throws Exception {
        assertOffered("had a typed k", "“typed kind” record", 2);
        assertOffered("had a “typed k", "“typed kind” record", 2);
        assertOffered("no aud", "audiogram", 2);
        assertOffered("site is typed", "Typed Lane", 2);
        assertOffered("site is typed", "Typed Row", 1);
        JsonNode term = assertOffered("no otherwise", "“Typed, otherwise”", 1);
        assertThat(term.at("/members/0").has("text") || term.at("/members/0").has("code"))
                .isTrue();
    }

    @Test
    void counts_are_of_what_was_typed_before() throws Exception {
        assertOffered("no “typed kind” record in aud", "audiogram", 2);
        assertOffered("no visit in aud", "audiogram", 0);
        assertOffered("no visit in otherwise", "“Typed, otherwise”", 1);
        assertThat(typed("no “typed kind” record in otherwise").get("offers")).isEmpty();
        assertOffered("no visit whose status is typed", "“Typed, seen”", 1);
        assertThat(typed("no “typed kind” record whose status is typed").get("offers"))
                .noneMatch(offer -> offer.get("what").asString().equals("EVENT_VALUE"));
    }

    @Test
    void several_wordings_that_resemble_it_are_offered_together_first() throws Exception {
        JsonNode together = typed("no typed-")
                .get("offers")
                .valueStream()
                .filter(offer -> offer.get("what").asString().equals("TERM"))
                .findFirst()
                .orElseThrow();
        assertThat(together.get("words").asString()).isEqualTo("“typed-”");
        assertThat(together.get("says").asString()).isEqualTo("all 2 below together");
        assertThat(together.get("members")).hasSize(2);
        assertThat(together.get("count").asInt()).as("each record once").isEqualTo(3);
    }

    @Test
    void a_lack_of_what_should_be_on_record_is_meant_the_other_way_round() throws Exception {
        JsonNode answer = typed("no audiogram in 2026", ", \"shouldHave\": true");
        assertThat(answer.at("/meant/test"))
                .isEqualTo(JsonMapper.shared()
                        .readTree(
                                "{\"events\": {\"terms\": [\"aud\"], \"window\": {\"dates\": [\"2026\", \"2026\"]}}}"));
        assertThat(answer.at("/meant/words").asString()).isEqualTo("had an audiogram from 1 Jan 2026 to 31 Dec 2026");
        assertThat(answer.at("/meant/alone/yes").asInt()).isEqualTo(2);
        assertThat(answer.at("/test/count/none").asBoolean())
                .as("as it stands, for whoever insists")
                .isTrue();
        assertThat(typed("audiogram in 2026", ", \"shouldHave\": true").has("meant"))
                .isFalse();
        assertThat(typed("no audiogram in 2026").has("meant"))
                .as("in the other sections")
                .isFalse();
    }

    @Test
    void what_people_say_is_read_and_what_may_mean_two_things_is_both_with_their_counts() throws Exception {
        assertThat(typed("people at Typed Lane").get("sentence").asString()).isEqualTo("site is Typed Lane");
        JsonNode over = typed("over 65 at Typed Row");
        assertThat(over.has("test")).isFalse();
        assertThat(over.get("readings")
                        .valueStream()
                        .map(one -> one.get("sentence").asString()))
                .containsExactly(
                        "all of these (aged 65 or over; site is Typed Row)",
                        "all of these (aged 66 or over; site is Typed Row)");
        assertThat(over.at("/readings/0/alone/unsure").asInt())
                .as("no birth date")
                .isPositive();
    }

    @Test
    void what_is_not_understood_is_offered_mended_and_a_name_on_record_as_a_term_set() throws Exception {
        JsonNode misspelt = typed("no audiogran in 2026");
        assertThat(misspelt.at("/mended/0/sentence").asString())
                .isEqualTo("had no audiogram from 1 Jan 2026 to 31 Dec 2026");
        JsonNode gathered = typed("no otherwise in 2026 at Typed Lane");
        assertThat(gathered.at("/mended/0/termSet/members").toString())
                .isEqualTo("[{\"code\":\"TYPED-2\",\"system\":\"local\"},{\"text\":\"Typed, otherwise\"}]");
        assertThat(gathered.at("/mended/0/sentence").asString()).contains("no otherwise", "site is Typed Lane");
        JsonNode unknown = typed("aged 65 or over and zzyzx");
        assertThat(unknown.get("understood").asString()).isEqualTo("aged 65 or over");
        assertThat(unknown.at("/mistake/message").asString()).isNotEmpty();
    }

    @Test
    void what_is_typed_of_a_band_says_how_many_of_the_list_are_in_it() throws Exception {
        JsonNode answer = typed("site is Typed Lane", ", \"band\": true");
        assertThat(answer.get("sentence").asString()).isEqualTo("site is Typed Lane");
        assertThat(answer.at("/alone/yes").asInt()).isEqualTo(2);
        JsonNode late = typed("overdue by 6 months", ", \"band\": true");
        assertThat(late.get("test").toString()).isEqualTo("{\"overdue\":{\"atLeast\":\"P6M\"}}");
        assertThat(late.at("/alone/yes").asInt()).as("nothing is asked for").isZero();
        assertThat(typed("overdue by 6 months").has("mistake")).isTrue();
        assertThat(typed("overdue b", ", \"band\": true").get("offers").toString())
                .contains("overdue by");
    }

    @Test
    void a_set_goes_out_as_text_and_comes_back() throws Exception {
        JsonNode shown = coordinator
                .post("/api/bench/text", "{\"document\": " + DOCUMENT + "}")
                .json();
        String text = shown.get("text").asString() + "\nInclude\n- no audiogram\n";
        JsonNode pasted = paste(text);
        assertThat(pasted.at("/document/include/0/test/events/terms/0").asString())
                .isEqualTo("aud");
        assertThat(paste("Typed\n\nInclude\n- nonsense\n").get("document")).isNull();
        assertThat(paste("Typed\n\nInclude\n- nonsense\n")
                        .at("/mistakes/0/from")
                        .asInt())
                .isEqualTo(17);
    }

    private static JsonNode paste(String text) throws Exception {
        return coordinator
                .post(
                        "/api/bench/text/read",
                        "{\"document\": " + DOCUMENT + ", \"text\": "
                                + JsonMapper.shared().writeValueAsString(text) + "}")
                .json();
    }

    private static JsonNode assertOffered(String typed, String words, int count) throws Exception {
        JsonNode offers = typed(typed).get("offers");
        JsonNode offered = offers.valueStream()
                .filter(offer -> offer.get("words").asString().equals(words))
                .findFirst()
                .orElseThrow(() -> new AssertionError(words + " is not among " + offers));
        assertThat(offered.get("count").asInt()).isEqualTo(count);
        return offered;
    }

    private static JsonNode typed(String text) throws Exception {
        return typed(text, "");
    }

    private static JsonNode typed(String text, String more) throws Exception {
        return coordinator
                .post(
                        "/api/bench/typed",
                        "{\"document\": " + DOCUMENT + ", \"typed\": "
                                + JsonMapper.shared().writeValueAsString(text) + ", \"caret\": " + text.length() + more
                                + "}")
                .json();
    }
}
