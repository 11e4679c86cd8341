package dipstick.server.audit;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.sql.Connection;
import java.sql.ResultSet;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class AuditLogTest {
    @Test
    void sign_ins_readings_of_people_and_lists_and_exports_are_written_down() throws Exception {
        Visitor coordinator = People.coordinator();
        String document = """
                {"format": "dipstick-criteria/1", "id": "watched", "name": "Watched", "include": [
                    {"id": "mine", "test": {"field": "id", "startsWith": "watched-"}}]}""";
        People.publish(coordinator, "watched", document);
        People.bringIn(coordinator, "id\nwatched-person\n");
        coordinator.get("/api/lists/watched");
        coordinator.get("/api/lists/watched/csv");
        coordinator.get("/api/lists/watched/people/watched-person");
        coordinator.post(
                "/api/bench/person",
                "{\"person\": \"watched-person\", \"draft\": {\"settings\": {}, \"document\": " + document + "}}");

        coordinator.post(
                "/api/bench/who",
                "{\"part\": \"ON_LIST\", \"draft\": {\"settings\": {}, \"document\": " + document + "}}");

        assertThat(entries())
                .containsSubsequence(
                        "SIGNED_IN",
                        "CRITERIA_SAVED watched, draft",
                        "CRITERIA_PUBLISHED watched, version 1",
                        "RECORDS_BROUGHT_IN test.csv",
                        "LIST_READ watched",
                        "PERSON_READ watched-person",
                        "PERSON_READ watched-person")
                .anyMatch(entry -> entry.startsWith("LIST_EXPORTED watched as of "))
                .anyMatch(entry -> entry.startsWith("PEOPLE_LISTED ON_LIST of watched as of "));
    }

    @Test
    void the_log_is_searched_by_managers_and_a_page_that_keeps_itself_up_to_date_is_in_it_once() throws Exception {
        Visitor coordinator = People.coordinator();
        People.publish(
                coordinator,
                "audited",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"audited\", \"name\": \"Audited\", \"include\":"
                        + " [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"startsWith\": \"audited-\"}}]}");
        Visitor caller = People.signedIn("audited-caller", Role.CALLER);
        caller.get("/api/lists/audited/desk");
        caller.get("/api/lists/audited/desk");
        Visitor manager = People.signedIn(Role.MANAGER);
        JsonNode found = manager.get("/api/audit?account=audited-caller&act=LIST_READ&find=AUDITED")
                .json();
        assertThat(found.get("entries")).hasSize(1);
        assertThat(found.at("/entries/0/subject").asString()).isEqualTo("audited");
        assertThat(manager.get("/api/audit?account=audited-caller&through=2020-01-01")
                        .json()
                        .get("entries"))
                .isEmpty();
        long last = manager.get("/api/audit").json().at("/entries/0/id").asLong();
        assertThat(manager.get("/api/audit?before=" + last)
                        .json()
                        .at("/entries/0/id")
                        .asLong())
                .isLessThan(last);
    }

    private static List<String> entries() throws Exception {
        List<String> entries = new ArrayList<>();
        try (Connection connection =
                        RunningServer.shared().bean(DataSource.class).getConnection();
                ResultSet rows =
                        connection.createStatement().executeQuery("SELECT act, subject FROM audit_entry ORDER BY id")) {
            while (rows.next()) {
                String act = rows.getString(1);
                entries.add(act.equals("SIGNED_IN") ? act : act + " " + rows.getString(2));
            }
        }
        return entries;
    }
}
