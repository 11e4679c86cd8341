package dipstick.server.readings;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What the list of a set is read by: its version, with the dials as they are turned for the list. */
class ListCriteriaTest {
    private static Visitor coordinator;

    @BeforeAll
    static void signIn() throws Exception {
        coordinator = People.coordinator();
    }

    private static String set(String id, String include) {
        return ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': '" + id + "',"
                        + "'dials': [{'name': 'every', 'label': 'Every', 'type': 'period', 'default': 'P12M'}],"
                        + "'include': [{'id': 'mine', 'test': {'field': 'id', 'startsWith': '" + id + "-'}}" + include
                        + "],'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['" + id
                        + " visit'], 'window': {'last': {'dial': 'every'}}}}}]}}")
                .replace('\'', '"');
    }

    private static JsonNode take(String list) throws Exception {
        return coordinator.post("/api/lists/" + list + "/readings", "").json();
    }

    @Test
    void a_dial_that_is_turned_for_the_list_holds_wherever_the_list_is_shown() throws Exception {
        LocalDate today = LocalDate.now(ZoneId.of("Europe/Lisbon"));
        People.bringIn(coordinator, "id,site,provider\nturned-1,Mill Lane,Dr A\nturned-2,Harbour Row,Dr B\n");
        People.bringIn(
                coordinator, "id,person_id,kind,on\nturned-e,turned-1,turned visit," + today.minusMonths(7) + "\n");
        People.publish(coordinator, "turned", set("turned", ""));
        assertThat(take("turned").get("onList").asInt()).isEqualTo(1);
        String plan = "{\"every\": \"DAY\", \"dayOfWeek\": \"MONDAY\", \"dayOfMonth\": 1, \"at\": \"06:00\","
                + " \"turned\": {\"every\": \"P6M\"}}";
        assertThat(coordinator
                        .put("/api/lists/turned/reading-plan", plan, "\"0\"")
                        .status())
                .isEqualTo(200);
        JsonNode reading = take("turned");
        assertThat(reading.get("onList").asInt()).isEqualTo(2);

        JsonNode rack = coordinator.get("/api/lists").json();
        assertThat(rack.valueStream()
                        .filter(one -> one.get("id").asString().equals("turned"))
                        .map(one -> one.get("on").asInt()))
                .containsExactly(2);
        assertThat(coordinator.get("/api/lists/turned").json().get("rows")).hasSize(2);
        assertThat(coordinator.get("/api/people/turned-1/standing").json().valueStream())
                .filteredOn(one -> one.get("set").asString().equals("turned"))
                .allSatisfy(one -> assertThat(one.get("list").asString()).isEqualTo("YES"));
        assertThat(coordinator
                        .get("/api/lists/turned/desk/people/turned-1")
                        .json()
                        .at("/lists/0/why")
                        .asString())
                .contains("No “turned visit” record from");
    }

    @Test
    void the_levels_of_a_reading_are_kept_and_so_is_how_each_site_stood() throws Exception {
        People.bringIn(coordinator, "id,site\nlevels-1,Mill Lane\nlevels-2,Mill Lane\nlevels-3,\n");
        People.bringIn(coordinator, "id,person_id,kind,on\nlevels-e,levels-1,levels visit,2026-11-01\n");
        People.publish(coordinator, "levels", set("levels", ""));
        long first = take("levels").get("id").asLong();
        JsonNode kept = coordinator
                .get("/api/lists/levels/readings/" + first + "/levels")
                .json()
                .get("levels");
        assertThat(kept.at("/levels/0/words").asString()).isEqualTo("id starts with “levels-”");
        assertThat(kept.at("/levels/0/remaining/yes").asInt()).isEqualTo(3);
        assertThat(kept.at("/levels/1/section").asString()).isEqualTo("SHOULD_HAVE");
        assertThat(kept.at("/levels/1/alone/yes").asInt()).isEqualTo(1);
        assertThat(kept.at("/list/yes").asInt()).isEqualTo(2);

        JsonNode all = coordinator.get("/api/lists/levels/levels").json();
        assertThat(all.get("bySite").toString())
                .contains("{\"name\":\"Mill Lane\",\"eligible\":2,\"has\":1,\"onList\":1,\"open\":1,\"done\":0}")
                .contains("{\"name\":\"\",\"eligible\":1,\"has\":0,\"onList\":1,\"open\":1,\"done\":0}");
        JsonNode site = coordinator
                .get("/api/lists/levels/levels?field=site&part=MILL%20Lane")
                .json();
        assertThat(site.at("/levels/0/eligible").asInt()).isEqualTo(2);
        assertThat(coordinator
                        .get("/api/lists/levels/levels?field=postcode&part=x")
                        .type())
                .isEqualTo("urn:dipstick:no-such-part");
    }

    @Test
    void a_sentence_that_is_longer_than_the_table_is_cut_and_the_list_is_read() throws Exception {
        People.bringIn(coordinator, "id,status\nlong-1,here\nlong-2,here\n");
        String names = IntStream.range(0, 600)
                .mapToObj(i -> "'some status or other, the " + i + "th'")
                .collect(Collectors.joining(", "));
        People.publish(coordinator, "long", set("long", ", {'id': 'in', 'test': {'field': 'status', 'in': ['here']}}"));
        assertThat(take("long").get("onList").asInt()).isEqualTo(2);
        publishAgain("long", set("long", ", {'id': 'in', 'test': {'field': 'status', 'in': [" + names + "]}}"));
        JsonNode reading = take("long");
        assertThat(reading.get("onList").asInt()).isZero();
        assertThat(reading.get("gone").asInt()).isEqualTo(2);
    }

    @Test
    void a_reading_by_criteria_that_can_be_read_no_more_still_shows_its_levels() throws Exception {
        People.bringIn(coordinator, "id\ncircle-1\n");
        People.publish(coordinator, "circle-other", set("circle-other", ""));
        People.publish(
                coordinator, "circle", set("circle", ", {'id': 'in', 'test': {'not': {'member': 'circle-other'}}}"));
        long first = take("circle").get("id").asLong();
        publishAgain("circle", set("circle", ""));
        // The version of the first reading names a set that now names this one.
        publishAgain("circle-other", set("circle-other", ", {'id': 'in', 'test': {'member': 'circle'}}"));
        assertThat(take("circle").get("onList").asInt()).isEqualTo(1);
        assertThat(coordinator
                        .get("/api/lists/circle/readings/" + first + "/levels")
                        .json()
                        .at("/levels/levels/1/words")
                        .asString())
                .isEqualTo("in");
    }

    private static void publishAgain(String id, String document) throws Exception {
        coordinator.put("/api/criteria/" + id, document, "\"2\"");
        coordinator.post("/api/criteria/" + id + "/publish", "{\"note\": \"\"}", "\"3\"");
    }
}
