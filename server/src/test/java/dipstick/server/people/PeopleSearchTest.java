package dipstick.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Visitor;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Anybody is found by what is typed, and their standing by each set is told. */
class PeopleSearchTest {
    private static Visitor coordinator;

    @BeforeAll
    static void start() throws Exception {
        coordinator = People.coordinator();
        People.bringIn(coordinator, """
                id,family_name,given_name,birth_date,phone,mobile,status
                find-1,Quillfeather-Zander,Tove,1950-02-03,01632 960771,,active
                find-2,Quillfeather-Marl,Ödön,1961,,01632-960772,active
                find-3,Sandvik,Quill,,,,deceased
                """);
    }

    @Test
    void by_names_id_birth_date_or_phone() throws Exception {
        assertThat(found("quillf")).as("sorted by name").containsExactly("find-2", "find-1");
        assertThat(found("QUILL")).containsExactly("find-2", "find-1", "find-3");
        assertThat(found("marl, ödön")).containsExactly("find-2");
        assertThat(found("tove quill")).containsExactly("find-1");
        assertThat(found("find-3")).containsExactly("find-3");
        assertThat(found("quill 1950-02")).containsExactly("find-1");
        assertThat(found("quill 1961")).containsExactly("find-2");
        assertThat(found("960772")).containsExactly("find-2");
        assertThat(found("01632960771")).containsExactly("find-1");
        assertThat(found("quillfeather nobody")).isEmpty();
        assertThat(found("  ")).isEmpty();
        assertThat(found("%' OR 1=1 --")).isEmpty();
    }

    @Test
    void the_standing_by_each_set_says_why() throws Exception {
        People.publish(
                coordinator,
                "born-before-1955",
                ("{'format': 'dipstick-criteria/1', 'id': 'born-before-1955', 'name': 'Born before 1955', 'include':"
                                + " [{'id': 'born', 'test': {'field': 'birth_date', 'through': '1954-12-31'}}]}")
                        .replace('\'', '"'));
        assertThat(standing("find-1").get("list").asString()).isEqualTo("YES");
        assertThat(standing("find-2").get("list").asString()).isEqualTo("NO");
        assertThat(standing("find-2").get("why").asString()).contains("1961");
        assertThat(standing("find-3").has("list")).isFalse();
        assertThat(standing("find-3").get("why").asString()).isEqualTo("Recorded as deceased.");
        assertThat(coordinator.get("/api/people/nobody/standing").status()).isEqualTo(404);
    }

    private static JsonNode standing(String person) throws Exception {
        return coordinator
                .get("/api/people/" + person + "/standing")
                .json()
                .valueStream()
                .filter(one -> one.get("set").asString().equals("born-before-1955"))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> found(String typed) throws Exception {
        String words = URLEncoder.encode(typed, StandardCharsets.UTF_8);
        return coordinator
                .get("/api/people?find=" + words)
                .json()
                .get("people")
                .valueStream()
                .map(person -> person.get("id").asString())
                .toList();
    }
}
