package dipstick.server.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.practice.Today;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The ribbon reads each month as the bench would as of that day. */
class RibbonTest {
    private static final String DOCUMENT = ("{'format': 'dipstick-criteria/1', 'id': 'r', 'name': 'R',"
                    + "'include': [{'id': 'mine', 'test': {'field': 'id', 'startsWith': 'ribbon-'}}],"
                    + "'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['visit'],"
                    + " 'window': {'last': 'P12M'}}}}]}}")
            .replace('\'', '"');

    private static Visitor coordinator;
    private static LocalDate today;

    @BeforeAll
    static void start() throws Exception {
        coordinator = People.coordinator();
        today = RunningServer.shared().bean(Today.class).day();
        People.bringIn(coordinator, "id\nribbon-1\nribbon-2\nribbon-3\nribbon-4\n");
        People.bringIn(
                coordinator,
                "person_id,kind,on\nribbon-1,visit,%s\nribbon-2,visit,%s\nribbon-3,visit,%s\n"
                        .formatted(today.minusMonths(10), today.minusMonths(2), today.minusMonths(20)));
    }

    @Test
    void each_month_is_what_the_bench_says_as_of_its_day() throws Exception {
        JsonNode months = ribbon().get("months");
        assertThat(months).hasSize(25);
        for (JsonNode month : months) {
            String draft = "{\"settings\": {}, \"asOf\": %s, \"document\": %s}".formatted(month.get("day"), DOCUMENT);
            JsonNode levels = coordinator.post("/api/bench", draft).json().get("levels");
            for (String side : List.of("list", "eligible", "has")) {
                assertThat(month.get(side)).isEqualTo(levels.get(side));
            }
        }
        assertThat(months.get(12).get("day").asString()).isEqualTo(today.toString());
        assertThat(months.get(12).at("/list/yes").asInt()).isEqualTo(2);
        assertThat(months.get(24).at("/list/yes").asInt()).isEqualTo(4);
    }

    @Test
    void those_who_fall_due_are_counted_in_the_month_of_their_due_date() throws Exception {
        List<Integer> fallDue = ribbon().get("months")
                .valueStream()
                .map(month -> month.get("fallDue").asInt())
                .toList();
        assertThat(fallDue.stream().mapToInt(Integer::intValue).sum())
                .as("who never had it or is overdue already is not due ahead")
                .isEqualTo(2);
        // A visit lapses on the day after its lookback: two months and a day, ten months and a day ahead.
        assertThat(fallDue.get(15)).isEqualTo(1);
        assertThat(fallDue.get(23)).isEqualTo(1);
    }

    @Test
    void a_draft_that_cannot_be_read_is_refused() throws Exception {
        String draft = "{\"settings\": {}, \"document\": {\"format\": \"another\"}}";
        assertThat(coordinator.post("/api/bench/ribbon", draft).status()).isEqualTo(422);
    }

    private static JsonNode ribbon() throws Exception {
        String draft = "{\"settings\": {}, \"document\": " + DOCUMENT + "}";
        return coordinator.post("/api/bench/ribbon", draft).json();
    }
}
