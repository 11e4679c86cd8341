package dipstick.server.outreach.desk;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The pages of a desk: who is on them, in which order, and how many there are of each. */
class DeskPagesTest {
    private static RunningServer server;
    private static Visitor orla;
    private static Visitor tam;

    @BeforeAll
    static void begin(@TempDir Path folder) throws Exception {
        server = RunningServer.over(folder, SetClock.onThe(LocalDate.of(2026, 3, 2)));
        orla = server.signedIn("orla", Role.COORDINATOR);
        tam = server.signedIn("tam", Role.CALLER);
        People.bringIn(orla, """
                id,family_name,given_name,birth_date,phone,provider,site,score:number,status
                a,adder,Ida,1950-06-01,5,Dr Vane,Mill,10,
                b,Brook,Al,1940-06-01,4,Dr Vane,Mill,9.5,
                c,Öçalan,Cem,1960-06-01,3,Dr Reed,Harbour,,
                d,Данило,Ян,1955-06-01,2,Dr Reed,Harbour,100,
                e,brook,Bo,1945-06-01,1,Dr Reed,,,
                f,Zell,Zo,1930-06-01,,Dr Vane,Mill,,
                g,Yarrow,Y,,6,Dr Vane,Mill,,
                """);
        People.bringIn(orla, """
                id,person_id,kind,on
                v1,a,visit,2024-01-10
                v2,b,visit,2023-01-10
                v3,c,visit,2024-01-10
                """);
        People.publish(
                orla,
                "pages",
                ("{'format': 'dipstick-criteria/1', 'id': 'pages', 'name': 'Pages', 'include': [{'id': 'old', 'test':"
                                + " {'age': {'from': 18}}}], 'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test':"
                                + " {'events': {'kinds': ['visit'], 'window': {'last': 'P12M'}}}}]}, 'bands': [{'name':"
                                + " 'Never', 'when': {'overdue': 'never'}}, {'name': 'Late', 'when': {'overdue':"
                                + " {'atLeast': 'P0D'}}}], 'show': ['score']}")
                        .replace('\'', '"'));
        Desks desk = new Desks(tam, "pages");
        desk.does("TAKE", "d");
        desk.does("ATTEMPT", "b", "outcome", "\"no-answer\"");
    }

    @AfterAll
    static void stop() {
        server.stop();
    }

    private static JsonNode desk(Visitor visitor, String asked) throws Exception {
        return visitor.get("/api/lists/pages/desk?" + asked).json();
    }

    private static String people(JsonNode desk) {
        return desk.get("rows")
                .valueStream()
                .map(row -> row.at("/person/id").asString())
                .collect(Collectors.joining());
    }

    private static int inQueue(JsonNode desk, String queue) {
        return desk.get("queues")
                .valueStream()
                .filter(one -> one.get("queue").asString().equals(queue))
                .findFirst()
                .orElseThrow()
                .get("people")
                .asInt();
    }

    @ParameterizedTest
    @CsvSource({
        "'', false, efdbacg",
        "due, true, acbefdg",
        "overdue, false, acbegfd",
        "name, false, abegfcd",
        "name, true, dcfgeba",
        "age, false, gcdaebf",
        "phone, false, fedcbag",
        "provider, false, ecdabgf",
        "site, false, ecdabgf",
        "hand, true, bd",
        "last, true, b",
        "standing, true, g",
        "field:score, true, dabegfc",
        "no such column, false, abegfcd",
    })
    void are_sorted(String sort, boolean descending, String first) throws Exception {
        String column = sort.isEmpty() ? "" : "&sort=" + URLEncoder.encode(sort, StandardCharsets.UTF_8);
        String order = people(desk(tam, "descending=" + descending + column));
        assertThat(order).hasSize(7);
        assertThat(order).startsWith(first);
    }

    @Test
    void are_gathered_under_headings_with_how_many_stand_there() throws Exception {
        JsonNode desk = desk(tam, "group=site&sort=name");
        assertThat(people(desk)).isEqualTo("ecdabgf");
        assertThat(desk.get("groups").toString()).isEqualTo("[1,2,4]");
        assertThat(desk(tam, "group=hand&sort=name").get("groups").toString()).isEqualTo("[5,2]");
        assertThat(desk(tam, "sort=name").get("groups").toString()).isEqualTo("[]");
    }

    @Test
    void go_on_where_the_one_before_ended() throws Exception {
        StringBuilder all = new StringBuilder();
        for (int from = 0; from < 9; from += 3) {
            JsonNode desk = desk(tam, "sort=name&size=3&from=" + from);
            assertThat(desk.get("total").asInt()).isEqualTo(7);
            all.append(people(desk));
        }
        assertThat(all).hasToString("abegfcd");
        assertThat(people(desk(tam, "from=2147483647"))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "BROOK, be",
        "öçalan, c",
        "ÖÇALAN, c",
        "данило, d",
        "  reed , cde",
        "100, ''",
        "harbour, cd",
        "late, abc"
    })
    void hold_those_who_are_looked_for(String find, String found) throws Exception {
        JsonNode desk = desk(tam, "sort=name&find=" + URLEncoder.encode(find, StandardCharsets.UTF_8));
        assertThat(people(desk).chars().sorted().mapToObj(Character::toString).collect(Collectors.joining()))
                .isEqualTo(found);
        assertThat(desk.get("total").asInt()).isEqualTo(found.length());
        assertThat(inQueue(desk, "OPEN"))
                .as("what is looked for changes no count")
                .isEqualTo(inQueue(desk(tam, ""), "OPEN"));
    }

    @Test
    void hold_a_pile_or_a_band_and_count_all_of_them() throws Exception {
        JsonNode open = desk(tam, "queue=OPEN&sort=name");
        assertThat(people(open)).isEqualTo("aecd");
        assertThat(List.of("OPEN", "MINE", "NOBODYS", "WAITING", "HELD", "CHECK", "DONE"))
                .extracting(queue -> inQueue(open, queue))
                .containsExactly(4, 2, 3, 1, 1, 1, 0);
        assertThat(open.get("bands").toString())
                .isEqualTo("[{\"band\":\"Never\",\"people\":2},{\"band\":\"Late\",\"people\":2}]");
        JsonNode late = desk(tam, "queue=OPEN&sort=name&band=Late");
        assertThat(people(late)).isEqualTo("ac");
        assertThat(inQueue(late, "WAITING")).isEqualTo(1);
        assertThat(people(desk(tam, "queue=CHECK&band="))).isIn("", "g");
    }

    @Test
    void are_of_the_part_that_is_given_to_whoever_asks_if_they_ask_so() throws Exception {
        String parts = "{\"name\":\"By the sea\",\"sites\":[\"HARBOUR\"],\"providers\":[],\"colleagues\":[\"tam\"]}";
        assertThat(orla.put("/api/lists/pages/desk/manner", Desks.manner(14, parts), "\"0\"")
                        .status())
                .isEqualTo(200);
        JsonNode own = desk(tam, "ownPart=true&sort=name");
        assertThat(people(own)).isEqualTo("cd");
        assertThat(own.get("part").asString()).isEqualTo("By the sea");
        assertThat(inQueue(own, "OPEN")).isEqualTo(2);
        assertThat(people(desk(tam, "ownPart=true&part="))).hasSize(7);
        assertThat(desk(orla, "ownPart=true").get("part").asString()).isEmpty();
        assertThat(people(desk(orla, "part=By%20the%20sea"))).hasSize(2);
        assertThat(orla.get("/api/lists/pages/desk/manner/parts").text())
                .isEqualTo("{\"sites\":[\"Harbour\",\"Mill\"],\"providers\":[\"Dr Reed\",\"Dr Vane\"]}");
        assertThat(tam.get("/api/lists/pages/desk/manner/parts").status()).isEqualTo(403);
    }

    @Test
    void may_be_marked_as_a_whole_and_taken_from_one_by_one() throws Exception {
        List<String> all = orla.get("/api/lists/pages/desk/everybody?queue=OPEN&sort=name")
                .json()
                .valueStream()
                .map(one -> one.get("person").asString() + one.get("mine").asBoolean())
                .toList();
        assertThat(all).containsExactly("afalse", "efalse", "cfalse", "dfalse");
        String next = "/api/lists/pages/desk/next?queue=OPEN&sort=name&from=";
        assertThat(tam.get(next + "0&current=a").json().at("/row/person/id").asString())
                .isEqualTo("a");
        assertThat(tam.get(next + "3&current=x").json().at("/row/person/id").asString())
                .as("their own")
                .isEqualTo("d");
        assertThat(tam.get(next + "3&current=d").json().at("/row/person/id").asString())
                .as("from the beginning")
                .isEqualTo("a");
        assertThat(orla.get(next + "3&current=x").json().at("/row/person/id").asString())
                .as("in another's hand")
                .isEqualTo("a");
        assertThat(tam.get("/api/lists/pages/desk/next?queue=HELD").text()).isEqualTo("{}");
    }

    @Test
    void hold_nobody_whom_whoever_asks_may_not_see() throws Exception {
        Visitor reed = server.signedIn("reed", Role.CLINICIAN);
        server.signedIn("admin", Role.ADMINISTRATOR)
                .put(
                        "/api/accounts/reed",
                        "{\"displayName\": \"R\", \"roles\": [\"CLINICIAN\"], \"provider\": \"dr reed\","
                                + " \"ownPeopleOnly\": true, \"givenListsOnly\": false, \"closed\": false, \"password\": \"\"}",
                        "\"1\"");
        reed.signIn("reed", "a%20long%20password");
        JsonNode own = desk(reed, "sort=name");
        assertThat(people(own)).isEqualTo("ecd");
        assertThat(List.of("all", "mine", "total"))
                .extracting(count -> own.get(count).asInt())
                .containsExactly(7, 3, 3);
        assertThat(inQueue(own, "OPEN")).isEqualTo(3);
        assertThat(people(desk(reed, "person=a&person=c&person=c&person=nobody")))
                .isEqualTo("c");
        assertThat(people(desk(reed, "find=zell"))).isEmpty();
        assertThat(reed.get("/api/lists/pages/desk/everybody").json().size()).isEqualTo(3);
    }

    @ParameterizedTest
    @ValueSource(strings = {"queue=NONE", "from=-1", "size=0", "size=1001", "from=x", "descending=perhaps", "LONG"})
    void are_not_given_for_what_means_nothing(String asked) throws Exception {
        String long_ = "find=" + "x".repeat(300);
        assertThat(tam.get("/api/lists/pages/desk?" + (asked.equals("LONG") ? long_ : asked))
                        .status())
                .isEqualTo(422);
    }
}
