package dipstick.server.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Every number of the sheet opens to just as many people. */
class WhoTest {
    private static final int PEOPLE = 450;

    private static final String DRAFT = ("{'settings': {}, 'asOf': '2026-11-23', 'document': {"
                    + "'format': 'dipstick-criteria/1', 'id': 'who', 'name': 'Who',"
                    + "'include': [{'id': 'mine', 'test': {'field': 'id', 'startsWith': 'who-'}},"
                    + "            {'id': 'old', 'test': {'age': {'from': 50}}}],"
                    + "'exclude': [{'id': 'gone', 'test': {'field': 'status', 'in': ['moved away']}}],"
                    + "'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['visit']}}}]}}}")
            .replace('\'', '"');

    private static Visitor coordinator;
    private static JsonNode levels;

    @BeforeAll
    static void start() throws Exception {
        coordinator = People.coordinator();
        StringBuilder people = new StringBuilder("id,family_name,birth_date,status\n");
        StringBuilder events = new StringBuilder("id,person_id,kind,on\n");
        for (int i = 0; i < PEOPLE; i++) {
            String birth = i % 7 == 0 ? "" : String.valueOf(1930 + i % 80);
            people.append("who-%03d,Name %d,%s,%s%n".formatted(i, i % 10, birth, i % 5 == 0 ? "moved away" : "active"));
            if (i % 3 == 0) {
                events.append("who-e%d,who-%03d,visit,2026%n".formatted(i, i));
            }
        }
        people.append("near-1,Name,1976-12-01,active\nnear-2,Name,1990-01-01,active\n");
        People.bringIn(coordinator, people.toString());
        People.bringIn(coordinator, events.toString());
        levels = coordinator.post("/api/bench", DRAFT).json().get("levels");
    }

    @Test
    void the_numbers_of_the_list_open_to_their_people() throws Exception {
        assertOpens("ON_LIST", "", levels.at("/list/yes"));
        assertOpens("TO_CHECK", "", levels.at("/list/unsure"));
        assertOpens("ELIGIBLE", "", levels.at("/eligible/yes"));
        assertOpens("HAS", "", levels.at("/has/yes"));
        assertOpens("POPULATION", "", levels.at("/people"));
    }

    @Test
    void the_numbers_of_each_criterion_open_to_their_people() throws Exception {
        for (JsonNode criterion : levels.get("criteria")) {
            String id = criterion.get("id").asString();
            assertOpens("LEFT", id, criterion.at("/left/yes"));
            assertOpens("MAYBE_LEFT", id, criterion.at("/left/unsure"));
            assertOpens("FELL", id, criterion.get("fell"));
        }
    }

    @Test
    void the_numbers_of_each_band_open_to_their_people_with_those_in_none() throws Exception {
        String draft = DRAFT.replace(
                "\"shouldHave\"",
                "\"bands\": [{\"name\": \"Old\", \"when\": {\"age\": {\"from\": 80}}},"
                        + " {\"name\": \"Seen long ago\", \"when\": {\"age\": {\"from\": 60}}}], \"shouldHave\"");
        JsonNode answer = coordinator.post("/api/bench", draft).json().get("levels");
        int listed = answer.at("/list/yes").asInt() + answer.at("/list/unsure").asInt();
        int inBands = 0;
        for (JsonNode band : answer.get("bands")) {
            assertThat(band.get("sentence").toString()).contains("aged");
            inBands += opens(draft, ", \"band\": \"" + band.get("name").asString() + "\"", band.get("people"));
        }
        int inNone = opens(draft, "", answer.get("noBand"));
        assertThat(inBands).isPositive();
        assertThat(inBands + inNone).isEqualTo(listed);
        assertThat(levels.has("noBand")).as("without bands").isFalse();
    }

    private static int opens(String draft, String band, JsonNode counts) throws Exception {
        int on = total(draft, "IN_BAND", band);
        int toCheck = total(draft, "TO_CHECK_IN_BAND", band);
        assertThat(on + " " + toCheck)
                .isEqualTo(
                        counts.get("yes").asInt() + " " + counts.get("unsure").asInt());
        return on + toCheck;
    }

    private static int total(String draft, String part, String band) throws Exception {
        return coordinator
                .post("/api/bench/who", "{\"draft\": " + draft + ", \"part\": \"" + part + "\"" + band + "}")
                .json()
                .get("total")
                .asInt();
    }

    @Test
    void near_the_line_are_those_whose_answer_changes_with_day_and_reason() throws Exception {
        String draft = DRAFT.replace("who-", "near-");
        JsonNode near = coordinator
                .post("/api/bench/near", "{\"criterion\": \"old\", \"draft\": " + draft + "}")
                .json();
        JsonNode crossing = near.get("crossings")
                .valueStream()
                .filter(one -> one.at("/person/id").asString().startsWith("near-"))
                .findFirst()
                .orElseThrow();
        assertThat(crossing.at("/person/id").asString()).isEqualTo("near-1");
        assertThat(crossing.get("day").asString()).isEqualTo("2026-12-01");
        assertThat(crossing.get("why").asString()).isEqualTo("Comes of the age on 1 Dec 2026.");
        assertThat(coordinator
                        .post("/api/bench/near", "{\"draft\": " + draft + "}")
                        .json()
                        .at("/crossings/0/after")
                        .asString())
                .isEqualTo("YES");
        assertThat(coordinator
                        .post("/api/bench/near", "{\"criterion\": \"none\", \"draft\": " + draft + "}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void many_people_come_in_pages_that_miss_and_repeat_nobody() throws Exception {
        Set<String> seen = new HashSet<>();
        String after = "";
        int pages = 0;
        do {
            JsonNode page = ask("LEFT", "mine", after);
            page.get("people")
                    .forEach(line -> assertThat(seen.add(line.at("/person/id").asString()))
                            .isTrue());
            after = page.path("after").asString("");
            pages++;
        } while (!after.isEmpty());
        assertThat(seen).hasSize(PEOPLE);
        assertThat(pages).isEqualTo(3);
    }

    @Test
    void those_of_whom_we_cannot_tell_stand_together_by_the_reason() throws Exception {
        List<String> reasons = ask("TO_CHECK", "", "")
                .get("people")
                .valueStream()
                .map(line -> line.get("why").asString())
                .toList();
        assertThat(reasons).isNotEmpty().doesNotContain("");
        assertThat(reasons.getFirst()).contains("No birth date");
        List<String> headings = new ArrayList<>();
        for (String reason : reasons) {
            if (headings.isEmpty() || !headings.getLast().equals(reason)) {
                headings.add(reason);
            }
        }
        assertThat(headings).doesNotHaveDuplicates();
        assertThat(ask("ON_LIST", "", "").at("/people/0/why").asString()).isEmpty();
    }

    private static void assertOpens(String part, String criterion, JsonNode number) throws Exception {
        JsonNode page = ask(part, criterion, "");
        assertThat(page.get("total").asInt()).as(part + " " + criterion).isEqualTo(number.asInt());
        assertThat(page.get("people").size()).isEqualTo(Math.min(200, number.asInt()));
    }

    private static JsonNode ask(String part, String criterion, String after) throws Exception {
        String more = (criterion.isEmpty() ? "" : ", \"criterion\": \"" + criterion + "\"")
                + (after.isEmpty() ? "" : ", \"after\": \"" + after + "\"");
        return coordinator
                .post("/api/bench/who", "{\"draft\": " + DRAFT + ", \"part\": \"" + part + "\"" + more + "}")
                .json();
    }
}
