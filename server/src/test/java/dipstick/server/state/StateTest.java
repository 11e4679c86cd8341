package dipstick.server.state;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

class StateTest {
    private static final String SET = """
            {"format": "dipstick-criteria/1", "id": "%s", "name": "%s", "population": "living",
             "termSets": [{"id": "k", "name": "Potassium", "members": [{"code": "K1"}]}],
             "include": [{"id": "adult", "test": {"age": {"from": 18}}}],
             "exclude": [{"id": "high", "test": {"latest": {"kinds": ["%s"], "terms": ["k"]},
                 "is": [{"field": "value", "above": 6}]}}],
             "shouldHave": {"rule": "any", "of": [{"id": "check", "test": {"events": {"kinds": ["visit"],
                 "window": {"last": "P12M"}}}}]}}""";

    private static RunningServer server;
    private static Visitor orla;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        server = RunningServer.over(data, SetClock.onThe(LocalDate.of(2026, 11, 27)));
        orla = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, """
                id,family_name,given_name,birth_date,provider
                A-1,Marl,=Ida,1951-02-03,Dr Sand
                B-2,Oak,Tom,1962-02-03,Dr Other
                C-3,Ash,May,,Dr Sand
                """);
        String usual = IntStream.range(0, 12)
                .mapToObj(i -> "u" + i + ",A-1,result,K1,Potassium,2026-01-" + (i + 10) + ",4,mmol/l,Harbour lab")
                .collect(Collectors.joining("\n", "", "\n"));
        People.bringIn(orla, "id,person_id,kind,code,text,on,value,unit,source\n" + usual + """
                far,B-2,result,K1,Potassium,2026-02-01,4000,mmol/l,Harbour lab
                new,A-1,result,N2,Sodium,2026-02-01,140,mmol/l,Harbour lab
                x1,Z-9,visit,,,2026-02-01,,,
                x2,Z-9,visit,,,2026-02-02,,,
                x3,Z-8,visit,,,2026-02-02,,,
                """);
        People.publish(orla, "asks", SET.formatted("asks", "Asks for potassium", "result"));
        People.publish(orla, "other", SET.formatted("other", "Asks for other things", "document"));
    }

    @AfterAll
    static void stop() {
        server.stop();
    }

    @Test
    void it_says_how_fresh_a_source_is_what_is_blank_and_what_nobody_has() throws Exception {
        JsonNode state = orla.get("/api/records/state").json();
        JsonNode lab = state.at("/feeds/0");
        assertThat(lab.get("source").asString()).isEqualTo("Harbour lab");
        assertThat(lab.get("records").asInt()).isEqualTo(14);
        assertThat(lab.get("last").asString()).isEqualTo("2026-02-01");
        assertThat(lab.get("late").asBoolean()).isTrue();
        assertThat(state.get("blanks").valueStream().map(JsonNode::toString))
                .anyMatch(blank -> blank.contains("birth date") && blank.contains("\"blank\":1"));
        assertThat(state.at("/nobody/people").asInt()).isEqualTo(2);
        assertThat(orla.get("/api/records/state/nobody").json().get("rows").toString())
                .isEqualTo("[[\"Z-9\",\"2\"],[\"Z-8\",\"1\"]]");
    }

    @Test
    void what_cannot_be_so_opens_to_its_records_and_says_which_lists_it_touches() throws Exception {
        JsonNode odd = orla.get("/api/records/state").json().get("odd");
        assertThat(odd.size()).isEqualTo(1);
        assertThat(odd.at("/0/sort").asString()).isEqualTo("FAR_VALUE");
        assertThat(odd.at("/0/sets").valueStream().map(set -> set.get("name").asString()))
                .containsExactly("Asks for potassium");
        JsonNode rows = orla.get("/api/records/state/odd/FAR_VALUE").json();
        assertThat(rows.get("total").asInt()).isEqualTo(1);
        assertThat(rows.at("/rows/0").toString()).contains("B-2", "Harbour lab", "far", "4000");
        assertThat(orla.get("/api/records/state/odd/TOO_OLD").status()).isEqualTo(404);
        assertThat(orla.get("/api/records/state/odd/NONSENSE").status()).isEqualTo(400);
        assertThat(orla.get("/api/records/state/odd/FAR_VALUE/file").text())
                .contains("person_id,family_name,given_name,source,id,kind", "B-2,Oak,Tom,Harbour lab,far,result,K1");
        assertThat(server.signedIn("mona", Role.MANAGER)
                        .get("/api/audit?act=LIST_EXPORTED")
                        .text())
                .contains("records in doubt, far-value");
    }

    @Test
    void what_is_blank_opens_to_the_people_or_records_without_it() throws Exception {
        JsonNode people =
                orla.get("/api/records/state/blank?kind=&field=birth_date").json();
        assertThat(people.get("rows").toString()).isEqualTo("[[\"C-3\",\"Ash\",\"May\",\"\",\"\"]]");
        JsonNode records =
                orla.get("/api/records/state/blank?kind=result&field=status").json();
        assertThat(records.get("total").asInt()).isEqualTo(14);
        assertThat(orla.get("/api/records/state/blank/file?kind=result&field=status")
                        .text())
                .contains("A-1,Marl,'=Ida,Harbour lab,new");
        assertThat(orla.get("/api/records/state/blank?kind=&field=nonsense").status())
                .isEqualTo(404);
        assertThat(orla.get("/api/records/state/blank?kind=nonsense&field=status")
                        .json()
                        .get("total")
                        .asInt())
                .isZero();
    }

    @Test
    void what_is_blank_names_the_lists_that_ask_for_it_and_how_many_are_to_check_there() throws Exception {
        assertThat(orla.get("/api/records/state/blank/lists?kind=&field=birth_date")
                        .json()
                        .valueStream()
                        .map(JsonNode::toString))
                .containsExactlyInAnyOrder(
                        "{\"set\":\"asks\",\"name\":\"Asks for potassium\",\"toCheck\":1}",
                        "{\"set\":\"other\",\"name\":\"Asks for other things\",\"toCheck\":1}");
        assertThat(orla.get("/api/records/state/blank/lists?kind=&field=provider")
                        .json())
                .isEmpty();
        assertThat(asking("result", "value")).containsExactly("asks");
        assertThat(asking("result", "code")).containsExactly("asks");
        assertThat(asking("result", "on")).containsExactly("asks");
        assertThat(asking("visit", "on")).containsExactlyInAnyOrder("asks", "other");
        assertThat(asking("visit", "value")).isEmpty();
    }

    private static List<String> asking(String kind, String field) throws Exception {
        return orla.get("/api/records/state/blank/lists?kind=" + kind + "&field=" + field)
                .json()
                .valueStream()
                .map(one -> one.get("set").asString())
                .toList();
    }

    @Test
    void whoever_sees_own_people_only_sees_no_record_of_another() throws Exception {
        server.signedIn("adm", Role.ADMINISTRATOR).put("/api/accounts/own", """
                {"displayName": "Own", "roles": ["COORDINATOR"], "provider": "Dr Sand", "ownPeopleOnly": true,
                 "givenListsOnly": false, "closed": false, "password": "some long words here"}""", "\"0\"");
        Visitor own = server.visitor().signIn("own", "some%20long%20words%20here");
        assertThat(own.get("/api/records/state/odd/FAR_VALUE")
                        .json()
                        .get("total")
                        .asInt())
                .isZero();
        assertThat(own.get("/api/records/state/odd/FAR_VALUE/file").text()).doesNotContain("B-2");
        assertThat(own.get("/api/records/state/nobody").json().get("total").asInt())
                .isZero();
    }

    @Test
    void codes_that_no_term_set_means_are_told_and_those_of_a_published_set_are_not() throws Exception {
        JsonNode outside = orla.get("/api/records/terms/outside").json();
        assertThat(outside.get("total").asInt()).isEqualTo(1);
        assertThat(outside.at("/terms/0/term").asString()).isEqualTo("N2");
    }
}
