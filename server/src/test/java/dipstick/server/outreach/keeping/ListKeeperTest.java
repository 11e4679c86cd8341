package dipstick.server.outreach.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.outreach.Desks;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What a reading does to those whom colleagues already work with. */
class ListKeeperTest {
    private static Visitor coordinator;

    @BeforeAll
    static void signIn() throws Exception {
        coordinator = People.coordinator();
    }

    private static Desks begin(String id, String people) throws Exception {
        People.bringIn(coordinator, people);
        People.publish(
                coordinator,
                id,
                ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': '" + id
                                + "', 'include': [{'id': 'mine',"
                                + " 'test': {'field': 'id', 'startsWith': '" + id
                                + "-'}}, {'id': 'old', 'test': {'age':"
                                + " {'from': 65}}}], 'exclude': [{'id': 'gone', 'unsure': 'fails', 'test': {'field':"
                                + " 'status', 'in': ['moved away']}}], 'shouldHave': {'rule': 'any', 'of': [{'id': 'seen',"
                                + " 'test': {'events': {'kinds': ['" + id + " visit']}}}]}}")
                        .replace('\'', '"'));
        return new Desks(People.caller(), id);
    }

    private static void came(String list, String person) throws Exception {
        People.bringIn(
                coordinator,
                "id,person_id,kind,on,status\n" + list + "-e," + person + "," + list + " visit,2026-01-05,final\n");
    }

    private static void wasWrong(String list, String person) throws Exception {
        People.bringIn(
                coordinator,
                "id,person_id,kind,on,status\n" + list + "-e," + person + "," + list
                        + " visit,2026-01-05,entered-in-error\n");
    }

    @Test
    void somebody_to_check_who_is_on_the_list_for_certain_keeps_what_was_done() throws Exception {
        Desks desk = begin("certain", "id,phone,birth_date\ncertain-1,1,\n");
        assertThat(desk.row("certain-1").get("standing").asString()).isEqualTo("CHECK");
        assertThat(desk.next("certain-1")).startsWith("LOOK");
        new Desks(coordinator, "certain").does("ATTEMPT", "certain-1", "outcome", "\"left-message\"");
        assertThat(desk.next("certain-1")).as("still to check").startsWith("LOOK");
        People.bringIn(coordinator, "id,birth_date\ncertain-1,1950\n");
        assertThat(desk.row("certain-1").get("standing").asString()).isEqualTo("ON");
        assertThat(desk.state("certain-1")).isEqualTo("IN_PROGRESS");
        assertThat(desk.next("certain-1"))
                .as("the plan goes on")
                .isEqualTo("CALL " + LocalDate.now(ZoneId.of("Europe/Lisbon")).plusDays(7));
        assertThat(desk.log("certain-1")).first().asString().startsWith("NOW_ON ");
        People.bringIn(coordinator, "id,birth_date\ncertain-1,\n");
        assertThat(desk.row("certain-1").get("standing").asString()).isEqualTo("CHECK");
        assertThat(desk.log("certain-1")).first().asString().startsWith("NOW_TO_CHECK ");
    }

    @Test
    void who_is_done_is_let_go_unless_another_list_still_needs_them() throws Exception {
        Desks one = begin("letgo", "id,phone,birth_date\nletgo-1,1,1950\nletgo-2,1,1950\n");
        People.publish(
                coordinator,
                "letgo-other",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"letgo-other\", \"name\": \"Other\", \"include\":"
                        + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"in\": [\"letgo-2\"]}}]}");
        one.does("TAKE", "letgo-1");
        one.does("TAKE", "letgo-2");
        came("letgo", "letgo-1");
        People.bringIn(coordinator, "id,person_id,kind,on\nletgo-e2,letgo-2,letgo visit,2026-01-06\n");
        assertThat(one.state("letgo-1")).isEqualTo("DONE");
        assertThat(one.row("letgo-1").has("inHand")).isFalse();
        assertThat(one.state("letgo-2")).isEqualTo("DONE");
        assertThat(new Desks(one.visitor(), "letgo-other")
                        .row("letgo-2")
                        .at("/inHand/mine")
                        .asBoolean())
                .as("still to be called for the other list")
                .isTrue();
    }

    @Test
    void who_was_closed_stays_closed_until_they_leave_and_come_back() throws Exception {
        Desks desk = begin("closed", "id,phone,birth_date\nclosed-1,1,1950\n");
        desk.does("ATTEMPT", "closed-1", "outcome", "\"declined\"", "words", "\"not now\"");
        desk.does("CLOSE", "closed-1", "words", "\"Declined\"");
        coordinator.post("/api/lists/closed/readings", "");
        assertThat(desk.state("closed-1")).isEqualTo("CLOSED");
        came("closed", "closed-1");
        assertThat(desk.state("closed-1")).isEqualTo("DONE");
        wasWrong("closed", "closed-1");
        assertThat(desk.state("closed-1")).isEqualTo("TO_CONTACT");
        assertThat(desk.next("closed-1")).startsWith("CALL ");
        assertThat(desk.log("closed-1"))
                .as("the history of somebody who comes back")
                .anyMatch(line -> line.equals("ATTEMPT Declined not now"))
                .anyMatch(line -> line.equals("CLOSED Declined"));
    }

    @Test
    void a_note_is_kept_whatever_state_somebody_is_in() throws Exception {
        Desks desk = begin("noted", "id,phone,birth_date,status\nnoted-1,1,1950,\n");
        desk.does("NOTE", "noted-1", "words", "\"has a new number\"");
        People.bringIn(coordinator, "id,status\nnoted-1,moved away\n");
        assertThat(desk.state("noted-1")).isEqualTo("LEFT");
        desk.does("NOTE", "noted-1", "words", "\"wrote from abroad\"");
        assertThat(desk.log("noted-1"))
                .contains("NOTE has a new number", "NOTE wrote from abroad")
                .anyMatch(line -> line.startsWith("LEFT Exempt: Status is moved away."));
        for (String kind : List.of("TAKE", "PLAN", "CLOSE")) {
            assertThat(Desks.refusal(desk.does(kind, "noted-1", "step", "\"CALL\"", "day", "\"2030-01-01\"")))
                    .as(kind)
                    .startsWith("This person is not on the list any more: Exempt: Status is moved away.");
        }
        assertThat(Desks.refusal(desk.does("REOPEN", "noted-1"))).contains("Only who was closed by a colleague");
    }

    @Test
    void a_reading_changes_no_revision_of_those_who_stay_so_that_work_in_between_is_not_refused() throws Exception {
        Desks desk = begin("between", "id,phone,birth_date\nbetween-1,1,1950\nbetween-2,1,1950\n");
        int seen = desk.row("between-1").get("revision").asInt();
        came("between", "between-2");
        assertThat(desk.does("after the reading", "ATTEMPT", "between-1", seen, "outcome", "\"no-answer\"")
                        .json()
                        .get("done"))
                .hasSize(1);
        int before = desk.row("between-2").get("revision").asInt();
        assertThat(Desks.refusal(desk.does("too late", "CLOSE", "between-2", before - 1, "words", "\"x\"")))
                .contains("This person was gone on with meanwhile: the list was read, ");
    }
}
