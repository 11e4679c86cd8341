package dipstick.server.readings;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.wording.DayWords;
import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ReadingsTest {
    private static final String SET = ("{'format': 'dipstick-criteria/1', 'id': 'read-list', 'name': 'Read list',"
                    + "'include': [{'id': 'mine', 'test': {'field': 'id', 'startsWith': 'read-'}}],"
                    + "'exclude': [{'id': 'gone', 'unsure': 'fails', 'test': {'field': 'status', 'in': ['moved away']}}],"
                    + "'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['read visit'],"
                    + "'window': {'last': 'P12M'}}}}]}}")
            .replace('\'', '"');

    @Test
    void every_reading_is_kept_and_says_who_joined_and_left_and_why() throws Exception {
        Visitor coordinator = People.coordinator();
        LocalDate yesterday = LocalDate.now(ZoneOffset.UTC).minusDays(1);
        People.bringIn(coordinator, "id,family_name,status\nread-1,Marl,\nread-2,Tove,\nread-3,Wend,\n");
        People.publish(coordinator, "read-list", SET);

        JsonNode first = take(coordinator);
        assertThat(first.get("onList").asInt()).isEqualTo(3);
        assertThat(first.get("joined").asInt()).isZero();
        assertThat(take(coordinator)).as("nothing changed").isEqualTo(first);

        People.bringIn(
                coordinator, "id,person_id,kind,text,on\nread-e1,read-1,read visit,Seen at home," + yesterday + "\n");
        People.bringIn(coordinator, "id,family_name,status\nread-2,Tove,moved away\nread-4,Alder,\n");
        JsonNode readings = coordinator.get("/api/lists/read-list/readings").json();
        assertThat(readings).as("one by hand, one for each file").hasSize(3);
        assertThat(readings.at("/0/occasion").asString()).isEqualTo("RECORDS_CAME");
        assertThat(readings.at("/0/onList").asInt()).isEqualTo(2);
        assertThat(readings.at("/0/joined").asInt()).isEqualTo(1);
        assertThat(readings.at("/0/gone").asInt()).isEqualTo(1);
        assertThat(changes(coordinator, readings.at("/1/id")))
                .containsExactly("read-1 OFF DONE Now on record: Seen at home on " + words(yesterday) + ".");
        assertThat(changes(coordinator, readings.at("/0/id")))
                .containsExactlyInAnyOrder(
                        "read-2 OFF EXEMPT Exempt: Status is moved away.",
                        "read-4 ON RECORDS New on file: No “read visit” record from "
                                + words(LocalDate.now(ZoneOffset.UTC).minusMonths(12)) + " to "
                                + words(LocalDate.now(ZoneOffset.UTC)) + ". None on record at any time.");

        coordinator.put(
                "/api/criteria/read-list", SET.replace("\"startsWith\": \"read-\"", "\"in\": [\"read-4\"]"), "\"2\"");
        coordinator.post("/api/criteria/read-list/publish", "{\"note\": \"\"}", "\"3\"");
        JsonNode last = take(coordinator);
        assertThat(last.get("version").asInt()).isEqualTo(2);
        assertThat(changes(coordinator, last.get("id")))
                .containsExactly("read-3 OFF CRITERIA The criteria changed: “id is read-4” keeps them off now.");

        Visitor caller = People.caller();
        assertThat(caller.get("/api/lists/read-list/readings").json()).hasSize(4);
        assertThat(caller.get("/api/lists/read-list/readings-compared?from=1&to=999999")
                        .status())
                .isEqualTo(404);
    }

    private static JsonNode take(Visitor coordinator) throws Exception {
        return coordinator.post("/api/lists/read-list/readings", "").json();
    }

    private static String words(LocalDate day) {
        return DayWords.day(day);
    }

    /** Whose place is another one than at the reading before. */
    private static List<String> changes(Visitor visitor, JsonNode reading) throws Exception {
        List<Long> ids = visitor.get("/api/lists/read-list/readings")
                .json()
                .valueStream()
                .map(one -> one.get("id").asLong())
                .toList();
        long before = ids.get(ids.indexOf(reading.asLong()) + 1);
        return visitor.get("/api/lists/read-list/readings-compared?from=" + before + "&to=" + reading.asLong())
                .json()
                .get("people")
                .valueStream()
                .filter(moved -> !moved.get("was").equals(moved.get("nowIs")))
                .map(moved -> moved.at("/person/id").asString() + " "
                        + moved.get("nowIs").asString() + " "
                        + moved.get("cause").asString() + " "
                        + moved.get("words").asString())
                .toList();
    }
}
