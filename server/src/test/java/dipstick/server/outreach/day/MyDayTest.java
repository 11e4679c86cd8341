package dipstick.server.outreach.day;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class MyDayTest {
    @Test
    void today_says_what_is_due_who_joined_who_was_given_and_who_comes_in() throws Exception {
        LocalDate today = LocalDate.now(ZoneId.of("Europe/Lisbon"));
        Visitor coordinator = People.coordinator();
        Visitor caller = People.signedIn("day-caller", Role.CALLER);
        People.bringIn(coordinator, "id,phone\nday-1,1\nday-2,2\nday-3,3\n");
        People.bringIn(
                coordinator,
                "id,person_id,kind,on\nday-e1,day-3,appointment," + today.plusDays(2) + "\nday-e2,day-2,appointment,"
                        + today.plusDays(20) + "\n");
        People.publishPrivately(
                coordinator,
                "day-list",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"day-list\", \"name\": \"Day list\", \"include\":"
                        + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"startsWith\": \"day-\"}}]}");
        People.share(
                coordinator,
                "day-list",
                "NONE",
                "{\"kind\": \"COLLEAGUE\", \"grantee\": \"day-caller\", \"granted\": \"WORK\"}");
        new Desks(caller, "day-list").does("TAKE", "day-1");
        new Desks(coordinator, "day-list").does("GIVE", "day-2", "to", "\"day-caller\"");

        JsonNode day = caller.get("/api/today").json();
        assertThat(day.get("followUps")
                        .valueStream()
                        .filter(one -> one.get("set").asString().equals("day-list"))
                        .map(one -> one.at("/person/id").asString() + " "
                                + one.get("step").asString()))
                .containsExactlyInAnyOrder("day-1 CALL", "day-2 CALL");
        assertThat(day.get("joined").toString()).contains("\"list\":\"Day list\",\"people\":3");
        assertThat(day.get("handedOver")
                        .valueStream()
                        .map(one -> one.at("/person/id").asString() + " "
                                + one.get("words").asString()))
                .singleElement()
                .asString()
                .startsWith("day-2 from Person person");
        assertThat(caller.get("/api/coming-in")
                        .json()
                        .valueStream()
                        .map(one -> one.at("/person/id").asString())
                        .filter(id -> id.startsWith("day-")))
                .containsExactly("day-3");
        assertThat(People.caller().get("/api/today").text()).doesNotContain("Day list");

        assertThat(coordinator
                        .get("/api/workload")
                        .json()
                        .valueStream()
                        .filter(one -> one.get("name").asString().equals("Person day-caller"))
                        .map(one -> one.get("inHand").asInt() + " in hand, "
                                + one.get("attemptsOfWeek").asInt() + " tried, " + one.get("lists")))
                .containsExactly("2 in hand, 0 tried, [{\"list\":\"Day list\",\"due\":2,\"ahead\":0}]");
        new Desks(caller, "day-list").does("ATTEMPT", "day-1", "outcome", "\"no-answer\"");
        assertThat(coordinator.get("/api/workload").text())
                .contains("\"attemptsOfWeek\":1,\"attemptsOfFourWeeks\":1,"
                        + "\"lists\":[{\"list\":\"Day list\",\"due\":1,\"ahead\":1}]");

        JsonNode levels = coordinator.get("/api/lists/day-list/levels").json();
        assertThat(levels.at("/levels/0/onList").asInt()).isEqualTo(3);
        assertThat(levels.at("/bySite/0/open").asInt()).isEqualTo(3);
    }

    @Test
    void whoever_sees_their_own_people_only_is_told_whose_they_are() throws Exception {
        Visitor clinician = People.signedIn("day-clinician", Role.CLINICIAN);
        assertThat(clinician.get("/api/today").json().has("peopleOf")).isFalse();
        People.signedIn(Role.ADMINISTRATOR)
                .put(
                        "/api/accounts/day-clinician",
                        "{\"displayName\": \"C\", \"roles\": [\"CLINICIAN\"], \"provider\": \"Dr Day\","
                                + " \"ownPeopleOnly\": true, \"givenListsOnly\": false, \"closed\": false, \"password\": \"\"}",
                        "\"1\"");
        clinician.signIn("day-clinician", "a%20long%20password");
        assertThat(clinician.get("/api/today").json().get("peopleOf").asString())
                .isEqualTo("Dr Day");
    }
}
