package dipstick.server.region;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.parts.SentQuestion;
import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A list's question for a region, and the region's answer beside the list. */
class RegionTest {
    private static Visitor orla;

    @BeforeAll
    static void begin() throws Exception {
        orla = People.coordinator();
        // By events, which nobody else has: of others a field may not be told.
        People.bringIn(orla, "id\nrg-1\nrg-2\nrg-3\nrg-4\n");
        People.bringIn(orla, """
                id,person_id,kind,on
                rg-e,rg-1,region visit,2026-11-02
                rg-m1,rg-1,region member,2020-01-01
                rg-m2,rg-2,region member,2020-01-01
                rg-m3,rg-3,region member,2020-01-01
                rg-m4,rg-4,region member,2020-01-01
                """);
    }

    private static String set(String id, String more) {
        return ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': 'Set of " + id + "',"
                        + "'dials': [{'name': 'every', 'label': 'Every', 'type': 'period', 'default': 'P12M'}],"
                        + "'include': [{'id': 'here', 'test': {'events': {'kinds': ['region member']}}}" + more
                        + "],'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['region"
                        + " visit'], 'window': {'last': {'dial': 'every'}}}}}]}}")
                .replace('\'', '"');
    }

    private static SentQuestion question(String id) throws Exception {
        return SentQuestion.parse(orla.get("/api/region/" + id + "/question").text());
    }

    /** What a region says of practices with 100 people who should have it, of whom so many do. */
    private static String levels(String id, String asOf, String asked, String all, Integer... have) {
        String practices = Stream.of(have)
                .map(has -> "{'practice': 'Mill " + has + "', " + counts("100", has.toString()) + "}")
                .collect(Collectors.joining(","));
        return ("{'format': 'dipstick-region-levels/1', 'asked': '" + asked + "', 'criteria': '" + id + "', 'asOf': '"
                        + asOf + "', 'zone': 'Europe/Lisbon', " + all + ", 'practices': [" + practices + "]}")
                .replace('\'', '"');
    }

    private static String counts(String eligible, String has) {
        return "'population': {'people': 500, 'deceased': 3}, 'levels': [], 'eligible': {'yes': " + eligible
                + ", 'unsure': 0}, 'has': {'yes': " + has + ", 'unsure': 0}, 'list': {'yes': 7, 'unsure': 2}";
    }

    private static JsonNode beside(String id) throws Exception {
        return orla.get("/api/region")
                .json()
                .valueStream()
                .filter(one -> one.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow()
                .path("beside");
    }

    private static Reply bringIn(String file) throws Exception {
        return orla.send("POST", "/api/region/answers", file, "");
    }

    @Test
    void an_answer_stands_beside_the_list_as_of_its_day() throws Exception {
        People.publish(orla, "rg-beside", set("rg-beside", ""));
        assertThat(beside("rg-beside").isMissingNode()).isTrue();
        SentQuestion question = question("rg-beside");
        assertThat(question.asOf()).isEqualTo(LocalDate.now(ZoneId.of("Europe/Lisbon")));
        assertThat(question.documents()).hasSize(1);

        Reply brought = bringIn(
                levels("rg-beside", "2026-11-20", question.fingerprint(), counts("450", "315"), 50, 60, 70, 80, 55));
        assertThat(brought.status()).as(brought.text()).isEqualTo(200);
        assertThat(brought.json().get("practices").asInt()).isEqualTo(5);
        JsonNode beside = beside("rg-beside");
        assertThat(beside.get("sameQuestion").asBoolean()).isTrue();
        assertThat(beside.get("here")).hasToString("{\"part\":1,\"of\":4}");
        assertThat(beside.get("everywhere")).hasToString("{\"part\":315,\"of\":450}");
        assertThat(beside.get("quarterFrom")).hasToString("{\"part\":70,\"of\":100}");
        assertThat(beside.get("quarterUpTo")).hasToString("{\"part\":55,\"of\":100}");

        // Of an earlier day, when nobody had it here.
        bringIn(levels("rg-beside", "2026-11-01", question.fingerprint(), counts("450", "300"), 1));
        assertThat(beside("rg-beside").get("asOf").asString()).isEqualTo("2026-11-20");
        assertThat(orla.delete("/api/region/rg-beside/answers/2026-11-20").status())
                .isEqualTo(204);
        JsonNode earlier = beside("rg-beside");
        assertThat(earlier.get("here")).hasToString("{\"part\":0,\"of\":4}");
        assertThat(earlier.has("quarterFrom")).isFalse();
    }

    @Test
    void small_numbers_are_counted_as_untold_and_not_as_nobody() throws Exception {
        People.publish(orla, "rg-small", set("rg-small", ""));
        bringIn(levels("rg-small", "2026-11-20", "0".repeat(64), counts("null", "null"), 50, 60, 70, 80)
                .replace("\"yes\": 60", "\"yes\": null"));
        JsonNode beside = beside("rg-small");
        assertThat(beside.has("everywhere")).isFalse();
        assertThat(beside.has("quarterFrom")).isFalse();
        assertThat(beside.get("practices").asInt()).isEqualTo(4);
        assertThat(beside.get("untold").asInt()).isEqualTo(1);
        assertThat(beside.get("sameQuestion").asBoolean()).isFalse();
    }

    @Test
    void another_version_or_dial_is_another_question_and_other_writing_is_not() throws Exception {
        People.publish(orla, "rg-named", set("rg-named", ""));
        People.publish(
                orla, "rg-asks", set("rg-asks", ", {'id': 'm', 'test': {'member': 'rg-named', 'part': 'eligible'}}"));
        SentQuestion before = question("rg-asks");
        assertThat(before.documents()).hasSize(2);
        assertThat(SentQuestion.parse(before.text().replace("\n", " ")).fingerprint())
                .isEqualTo(before.fingerprint());
        String plan = "{\"every\": \"DAY\", \"dayOfWeek\": \"MONDAY\", \"dayOfMonth\": 1, \"at\": \"06:00\","
                + " \"turned\": {\"every\": \"P6M\"}}";
        orla.put("/api/lists/rg-asks/reading-plan", plan, "\"0\"");
        SentQuestion turned = question("rg-asks");
        assertThat(turned.dials()).containsEntry("every", "P6M");
        assertThat(turned.fingerprint()).isNotEqualTo(before.fingerprint());
    }

    @Test
    void nobody_is_named_outside() throws Exception {
        String roster = set("rg-roster", ", {'id': 'r', 'test': {'roster': 'known'}}")
                .replace(
                        "\"dials\"",
                        "\"rosters\": [{\"id\": \"known\", \"name\": \"Known\", \"key\": [\"id\"], \"rows\":"
                                + " [[\"rg-1\"]]}], \"dials\"");
        People.publish(orla, "rg-roster", roster);
        Reply refused = orla.get("/api/region/rg-roster/question");
        assertThat(refused.type()).isEqualTo("urn:dipstick:names-people");
        assertThat(refused.text()).contains("“Set of rg-roster”").doesNotContain("rg-1");
        People.publish(
                orla, "rg-of", set("rg-of", ", {'id': 'm', 'test': {'member': 'rg-roster', 'part': 'eligible'}}"));
        assertThat(orla.get("/api/region/rg-of/question").type()).isEqualTo("urn:dipstick:names-people");
    }

    @Test
    void what_is_private_is_neither_sent_nor_shown_to_others() throws Exception {
        People.publishPrivately(orla, "rg-mine", set("rg-mine", ""));
        bringIn(levels("rg-mine", "2026-11-20", "0".repeat(64), counts("10", "5"), 1));
        Visitor other = People.coordinator();
        assertThat(other.get("/api/region").text()).doesNotContain("rg-mine");
        assertThat(other.get("/api/region/rg-mine/question").status()).isEqualTo(404);
        assertThat(other.send(
                                "POST",
                                "/api/region/answers",
                                levels("rg-mine", "2026-11-21", "0".repeat(64), counts("10", "5"), 1),
                                "")
                        .type())
                .isEqualTo("urn:dipstick:no-such-list");
        assertThat(other.delete("/api/region/rg-mine/answers/2026-11-20").status())
                .isEqualTo(404);
        assertThat(beside("rg-mine").get("asOf").asString()).isEqualTo("2026-11-20");
    }

    @Test
    void other_files_change_nothing_and_say_what_they_lack() throws Exception {
        People.publish(orla, "rg-files", set("rg-files", ""));
        String good = levels("rg-files", "2026-11-20", "0".repeat(64), counts("450", "315"), 50);
        assertThat(bringIn(good).status()).isEqualTo(200);
        List<String> bad = List.of(
                "",
                "people,events",
                "[]",
                "{}",
                good.substring(0, good.length() / 2),
                good.replace("dipstick-region-levels/1", "dipstick-criteria/1"),
                good.replace("2026-11-20", "2026-11-31"),
                good.replace("0".repeat(64), "'; DROP TABLE region_answer"),
                good.replaceAll("\"practices\": .*]", "\"practices\": []"),
                good.replace("rg-files", "x".repeat(201)));
        for (String file : bad) {
            Reply refused = bringIn(file);
            assertThat(refused.status()).as(file).isBetween(400, 422);
        }
        assertThat(bringIn(good.substring(1)).text()).contains("Nothing was changed.");
        assertThat(beside("rg-files").get("everywhere")).hasToString("{\"part\":315,\"of\":450}");
        String odd = good.replace("\"yes\": 315", "\"yes\": -1").replace("\"yes\": 50", "\"yes\": 1e99");
        assertThat(bringIn(odd).status()).isEqualTo(200);
        assertThat(beside("rg-files").has("everywhere")).isFalse();
        assertThat(beside("rg-files").get("untold").asInt()).isEqualTo(1);
    }

    @Test
    void a_quarter_is_at_least_a_quarter_on_both_sides() {
        for (int practices = 4; practices < 40; practices++) {
            List<Portion> shares = IntStream.rangeClosed(1, practices)
                    .mapToObj(part -> new Portion(part, 100))
                    .toList();
            int from = Portion.quarterFrom(shares).part();
            int upTo = Portion.quarterUpTo(shares).part();
            assertThat(4 * (practices - from + 1)).isBetween(practices, practices + 3);
            assertThat(4 * upTo).isBetween(practices, practices + 3);
        }
    }
}
