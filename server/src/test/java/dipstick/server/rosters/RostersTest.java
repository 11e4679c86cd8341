package dipstick.server.rosters;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class RostersTest {
    private static final JsonMapper JSON = JsonMapper.shared();

    private static final String ASKED = "{\"askedBy\": \"the person\", \"why\": \"a letter\"}";

    private static SetClock clock;
    private static RunningServer server;
    private static Visitor orla;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        clock = SetClock.onThe(LocalDate.of(2026, 11, 23));
        server = RunningServer.over(data, clock);
        orla = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, """
                id,family_name,given_name,birth_date,badge
                R-1,Quillfeather,Odalys,1950-02-03,b1
                R-2,Marl,Ida,1951-03-04,b2
                R-3,Marl,Tom,1952-04-05,b3
                R-4,Marl,Tom,1952-04-05,b4
                R-5,Żółć,Zofia,1960-12-31,b5
                """);
    }

    @AfterAll
    static void stop() {
        server.stop();
    }

    private static JsonNode read(String name, String file, String more) throws Exception {
        return read(name, file.getBytes(StandardCharsets.UTF_8), more);
    }

    private static JsonNode read(String name, byte[] file, String more) throws Exception {
        Reply reply = orla.post("/api/rosters/file?name=" + name + more, file);
        assertThat(reply.status()).as(reply.text()).isEqualTo(200);
        return reply.json();
    }

    /** A roster of what was read of a file, known by some of its fields. */
    private static String change(String name, JsonNode read, List<String> key, String until) {
        List<String> fields =
                read.get("fields").valueStream().map(JsonNode::asString).toList();
        ObjectNode change = JSON.createObjectNode().put("name", name).put("until", until);
        key.forEach(change.putArray("key")::add);
        var rows = change.putArray("rows");
        for (JsonNode row : read.get("rows")) {
            ObjectNode one = rows.addObject();
            var cells = one.putArray("cells");
            key.forEach(field -> cells.add(row.get("cells").get(fields.indexOf(field))));
            one.put("until", row.get("until").asString());
        }
        change.set("intake", read.get("intake"));
        return change.toString();
    }

    private static JsonNode saved(String id, String change, String ifMatch) throws Exception {
        Reply reply = orla.put("/api/rosters/" + id, change, ifMatch);
        assertThat(reply.status()).as(reply.text()).isEqualTo(200);
        return reply.json();
    }

    private static JsonNode copy(String id) throws Exception {
        ObjectNode copy = JSON.createObjectNode().put("id", id);
        JsonNode roster = orla.get("/api/rosters/" + id).json();
        copy.set("name", roster.at("/summary/name"));
        copy.set("key", roster.at("/summary/key"));
        var rows = copy.putArray("rows");
        roster.get("rows").forEach(row -> rows.add(row.get("cells")));
        return copy;
    }

    /** Everybody but those on the roster. */
    private static void publish(String set, JsonNode copy) throws Exception {
        People.publish(
                orla,
                set,
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"" + set + "\", \"name\": \"Set " + set
                        + "\", \"rosters\": [" + copy
                        + "], \"include\": [{\"id\": \"all\", \"test\": {\"field\": \"id\","
                        + " \"startsWith\": \"R-\"}}], \"exclude\": [{\"id\": \"off\", \"test\": {\"roster\": \""
                        + copy.get("id").asString() + "\"}}]}");
    }

    private static int on(String set) throws Exception {
        return orla.get("/api/lists/" + set).json().get("rows").size();
    }

    @Test
    void a_file_of_another_system_becomes_a_roster_and_the_next_one_replaces_it_in_every_set() throws Exception {
        JsonNode read = read("no-letters.csv", """
                Wishes of October
                Surname;First name;Date of birth;Remark
                Quillfeather;Odalys;03/02/1950;asked
                ZOLC;Zofia;31/12/1960;asked
                żółć;Zofia;31/12/1960;asked twice
                Marl;Tom;05/04/1952;
                Nobody;Nemo;17/05/1961;
                """, "");
        assertThat(read.get("fields").toString()).isEqualTo("[\"family_name\",\"given_name\",\"birth_date\"]");
        assertThat(read.at("/rows/0/cells").toString()).isEqualTo("[\"Quillfeather\",\"Odalys\",\"1950-02-03\"]");
        assertThat(read.get("troubles")).isEmpty();
        JsonNode first = saved("no-letters", change("No letters", read, List.of("family_name", "birth_date"), ""), "");
        assertThat(first.at("/roster/rows").asInt()).isEqualTo(5);
        assertThat(orla.get("/api/rosters/no-letters")
                        .json()
                        .get("rows")
                        .valueStream()
                        .map(row -> row.get("people").asInt()))
                .containsExactly(1, 0, 1, 2, 0);

        publish("one", copy("no-letters"));
        publish("two", copy("no-letters"));
        ObjectNode own = (ObjectNode) copy("no-letters");
        own.putArray("rows");
        publish("own", own);
        assertThat(on("one")).isEqualTo(1);

        JsonNode next = read(
                "next-week.csv",
                "Date of birth;Surname;First name\n04/03/1951;Marl;Ida\n29/02/2023;Marl;Eve\n",
                "&roster=no-letters");
        assertThat(next.get("leftOut").asInt()).isEqualTo(1);
        assertThat(next.at("/troubles/0").asString()).startsWith("Line 3: “29/02/2023”");

        String longest = "M".repeat(400);
        JsonNode lengthy = read("long.csv", "Surname,Patient No\n" + longest + ",1\n" + longest + "M,2\n", "");
        assertThat(lengthy.get("rows")).hasSize(1);
        assertThat(lengthy.at("/troubles/0").asString())
                .isEqualTo("Line 3: A cell of a roster has at most 400 characters.");
        String change = change("No letters", next, List.of("family_name", "birth_date"), "");
        JsonNode effects = orla.post("/api/rosters/no-letters/effects", change).json();
        assertThat(effects).hasSize(2);
        assertThat(effects.at("/0/joined").asInt()).isEqualTo(4);
        assertThat(effects.at("/0/left").asInt()).isEqualTo(1);
        assertThat(on("one")).isEqualTo(1);

        assertThat(saved("no-letters", change, "\"1\"").get("sets")).hasSize(2);
        assertThat(on("one")).isEqualTo(4);
        assertThat(on("two")).isEqualTo(4);
        assertThat(on("own")).isEqualTo(5);
        assertThat(orla.get("/api/criteria/one/versions").json().at("/0/note").asString())
                .isEqualTo("The roster “No letters” was changed");
        assertThat(orla.put("/api/rosters/no-letters", change, "\"1\"").status())
                .isEqualTo(412);
        assertThat(orla.put("/api/rosters/no-letters", change, "").status()).isEqualTo(428);

        assertThat(orla.delete("/api/rosters/no-letters", "\"2\"").status()).isEqualTo(204);
        assertThat(orla.get("/api/rosters/no-letters").status()).isEqualTo(404);
        assertThat(on("one")).isEqualTo(4);
    }

    @Test
    void rows_and_rosters_end_after_their_last_day() throws Exception {
        JsonNode read = read("away.csv", """
                Person number,Until
                R-1,2026-11-23
                R-2,2026-11-25
                R-3,
                """, "");
        assertThat(read.get("fields").toString()).isEqualTo("[\"id\"]");
        assertThat(read.get("until").asString()).isEqualTo("Until");
        saved("away", change("Away", read, List.of("id"), "2026-11-26"), "");
        publish("away-set", copy("away"));
        assertThat(on("away-set")).isEqualTo(2);

        goTo(LocalDate.of(2026, 11, 24));
        assertThat(on("away-set")).isEqualTo(3);
        assertThat(orla.get("/api/criteria/away-set/versions")
                        .json()
                        .at("/0/note")
                        .asString())
                .isEqualTo("Rows of the roster “Away” ended");
        assertThat(orla.get("/api/rosters/away").json().at("/summary/ended").asInt())
                .isEqualTo(1);
        goTo(LocalDate.of(2026, 11, 26));
        assertThat(on("away-set")).isEqualTo(4);
        goTo(LocalDate.of(2026, 11, 27));
        assertThat(on("away-set")).isEqualTo(5);
        assertThat(orla.get("/api/criteria/away-set").json().get("version").asInt())
                .isEqualTo(4);
        goTo(LocalDate.of(2026, 12, 27));
        assertThat(orla.get("/api/criteria/away-set").json().get("version").asInt())
                .isEqualTo(4);
    }

    private static void goTo(LocalDate day) {
        clock.set(day);
        server.bean(RosterEnds.class).look();
    }

    @Test
    void what_is_no_roster_is_told_and_nothing_is_saved() throws Exception {
        Reply wrong = orla.put(
                "/api/rosters/wrong",
                "{\"name\": \"Wrong\", \"key\": [\"birth_date\"], \"until\": \"\", \"rows\": [{\"cells\": [\"x\"], \"until\":"
                        + " \"\"}]}",
                "");
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.json().get("detail").asString()).contains("“birth_date” holds a date");
        assertThat(orla.put(
                                "/api/rosters/wrong",
                                "{\"name\": \"Wrong\", \"key\": [\"id\"], \"until\": \"31/12/2026\", \"rows\": []}",
                                "")
                        .json()
                        .get("detail")
                        .asString())
                .contains("is no day");
        assertThat(orla.get("/api/rosters/wrong").status()).isEqualTo(404);
        Reply empty =
                orla.post("/api/rosters/file?name=x.csv", "Colour,Shape\nred,round\n".getBytes(StandardCharsets.UTF_8));
        assertThat(empty.status()).isEqualTo(422);
        assertThat(empty.json().get("detail").asString()).contains("No column says who is meant");
        saved("by-number", change("By number", read("n.csv", "Person number\nR-1\n", ""), List.of("id"), ""), "");
        Reply other = orla.post(
                "/api/rosters/file?name=x.csv&roster=by-number",
                "Surname,Birth date\nMarl,1951-03-04\n".getBytes(StandardCharsets.UTF_8));
        assertThat(other.status()).isEqualTo(422);
        assertThat(other.json().get("detail").asString())
                .contains("it lacks what this roster is read from: “Person number”");
    }

    @Test
    void letters_are_read_as_is_said_and_so_the_next_time() throws Exception {
        byte[] file = "Surname,Birth date\nMatěj,1951-03-04\n".getBytes(Charset.forName("windows-1250"));
        JsonNode right = read("m.csv", file, "&encoding=windows-1250");
        assertThat(right.at("/rows/0/cells/0").asString()).isEqualTo("Matěj");
        assertThat(right.at("/readAs/encoding").asString()).isEqualTo("windows-1250");
        saved("letters", change("Letters", right, List.of("family_name"), ""), "");
        assertThat(read("m.csv", file, "&roster=letters").at("/rows/0/cells/0").asString())
                .isEqualTo("Matěj");
        assertThat(read("m.csv", file, "&roster=letters&encoding=windows-1252")
                        .at("/rows/0/cells/0")
                        .asString())
                .isEqualTo("Matìj");
        assertThat(orla.post("/api/rosters/file?name=m.csv&encoding=klingon", file)
                        .status())
                .isEqualTo(422);
    }

    @Test
    void a_column_called_as_a_field_of_this_practice_is_known_and_dates_that_could_be_either_way_are_asked()
            throws Exception {
        String file = "Badge,Last\nb2,03/04/2027\nb9,05/06/2027\n";
        JsonNode read = read("badges.csv", file, "");
        assertThat(read.get("fields").toString()).isEqualTo("[\"badge\"]");
        JsonNode open = read("badges.csv", file, "&until=Last");
        assertThat(open.get("openDates").asBoolean()).isTrue();
        assertThat(open.get("rows")).isEmpty();
        JsonNode told = read("badges.csv", file, "&until=Last&dates=DAY_FIRST");
        assertThat(told.at("/rows/0/until").asString()).isEqualTo("2027-04-03");

        saved(
                "dated",
                change("Dated", read("dated.csv", "Badge,Until\nb2,2027-04-03\n", ""), List.of("badge"), ""),
                "");
        String next = "Badge,Until\nb2,03/04/2027\n";
        assertThat(read("next.csv", next, "&roster=dated").get("openDates").asBoolean())
                .isTrue();
        assertThat(read("next.csv", next, "&roster=dated&dates=MONTH_FIRST")
                        .at("/rows/0/until")
                        .asString())
                .as("the next file may write its days otherwise")
                .isEqualTo("2027-03-04");
    }

    @Test
    void whoever_is_erased_is_in_no_shared_roster_and_in_no_copy() throws Exception {
        People.bringIn(orla, "id,family_name\nE-1,Gone\nE-2,Stays\n");
        saved("erased", change("Erased", read("e.csv", "Person number\nE-1\nE-2\n", ""), List.of("id"), ""), "");
        publish("erased-set", copy("erased"));
        assertThat(orla.post("/api/people/E-1/report", "{\"format\": \"JSON\", \"asked\": " + ASKED + "}")
                        .text())
                .contains("Shared rosters that name them");
        assertThat(orla.post("/api/people/E-1/erasure", "{\"person\": \"E-1\", \"asked\": " + ASKED + "}")
                        .status())
                .isLessThan(300);
        assertThat(orla.get("/api/rosters/erased").text()).doesNotContain("E-1").contains("E-2");
        assertThat(orla.get("/api/criteria/erased-set").text())
                .doesNotContain("E-1")
                .contains("E-2");
        // The copies are known as such still.
        assertThat(orla.get("/api/rosters/erased").json().at("/summary/usedBy")).hasSize(1);
    }
}
