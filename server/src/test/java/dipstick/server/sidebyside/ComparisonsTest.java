package dipstick.server.sidebyside;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ComparisonsTest {
    private static final String YESTERDAY = """
            Allergies as of yesterday
            Number;Born;Weight;Allergies
            7;03/02/1950;4,10;oak, ash
            8;17/05/1961;5;
            9;31/12/1960;6;elm
            """;
    private static final String TODAY = """
            number,born,weight,allergies
            7,1950-02-03,4.1,"ash,birch"
            8,1961-05-18,5,
            10,1970-01-01,1,yew
            10,1970-01-01,1,=yew()
            ,1970-01-01,1,
            """;

    private static Visitor orla;

    @BeforeAll
    static void signIn() throws Exception {
        orla = People.coordinator();
        People.bringIn(orla, "id,family_name,birth_date\nside-1,Besidewell,1902-02-03\nside-2,Beneathby,1903-03-04\n");
    }

    private static JsonNode file(Visitor who, String name, byte[] bytes) throws Exception {
        Reply reply = who.post("/api/comparisons/files?name=" + name, bytes);
        assertThat(reply.status()).as(reply.text()).isEqualTo(200);
        return reply.json();
    }

    private static Reply laid(JsonNode here, JsonNode there, String key, String compared) throws Exception {
        return orla.post(
                "/api/comparisons/laid",
                "{\"here\": \"" + here.get("id").asString() + "\", \"there\": \""
                        + there.get("id").asString() + "\", \"key\": [" + key + "], \"compared\": [" + compared + "]}");
    }

    private static String pair(String here, String there, String split) {
        return "{\"here\": \"" + here + "\", \"there\": \"" + there + "\", \"split\": \"" + split + "\"}";
    }

    private static JsonNode pile(JsonNode laid, String pile) throws Exception {
        return orla.get("/api/comparisons/laid/" + laid.get("id").asString() + "/" + pile)
                .json();
    }

    @Test
    void two_files_written_otherwise_are_laid_side_by_side() throws Exception {
        JsonNode yesterday = file(orla, "yesterday.csv", YESTERDAY.getBytes(Charset.forName("windows-1252")));
        JsonNode today = file(orla, "today.csv", TODAY.getBytes(StandardCharsets.UTF_8));
        assertThat(yesterday.get("rows").asInt()).isEqualTo(3);
        assertThat(yesterday.at("/columns/0/tellsApart").asBoolean()).isTrue();
        assertThat(yesterday
                        .get("columns")
                        .valueStream()
                        .map(column -> column.get("field").asString())
                        .toList())
                .startsWith("", "birth_date");
        assertThat(today.at("/columns/0/tellsApart").asBoolean()).isFalse();

        JsonNode laid = laid(
                        yesterday,
                        today,
                        "{\"here\": \"Number\", \"there\": \"number\"}",
                        pair("Born", "born", "") + "," + pair("Weight", "weight", "") + ","
                                + pair("Allergies", "allergies", ","))
                .json();
        assertThat(laid.get("onlyHere").asInt()).isEqualTo(1);
        assertThat(laid.get("onlyThere").asInt()).isZero();
        assertThat(laid.get("several").asInt()).isEqualTo(1);
        assertThat(laid.get("unknownThere").asInt()).isEqualTo(1);
        assertThat(laid.get("differing").asInt()).isEqualTo(2);
        assertThat(pile(laid, "DIFFERING").get("header").toString())
                .isEqualTo("[\"Number\",\"Column\",\"Only in yesterday.csv\",\"Only in today.csv\"]");
        assertThat(pile(laid, "DIFFERING").get("rows").toString())
                .isEqualTo("[[\"7\",\"Allergies\",\"oak\",\"birch\"],[\"8\",\"Born\",\"1961-05-17\",\"1961-05-18\"]]");
        assertThat(pile(laid, "SEVERAL").get("rows").toString()).isEqualTo("[[\"10\",\"0\",\"2\"]]");

        Reply csv = orla.get("/api/comparisons/laid/" + laid.get("id").asString() + "/ONLY_HERE/csv");
        assertThat(csv.text()).isEqualTo("\uFEFFNumber,Born,Weight,Allergies\r\n9,1960-12-31,6,elm\r\n");
    }

    @Test
    void a_roster_a_list_and_everybody_are_laid_beside_a_file_and_each_look_is_in_the_audit_log() throws Exception {
        orla.put(
                "/api/rosters/side-roster",
                "{\"name\": \"Side\", \"key\": [\"id\"], \"until\": \"\", \"rows\": [{\"cells\": [\"side-2\"], \"until\": \"\"}]}",
                "");
        People.publishPrivately(
                orla,
                "side-set",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"side-set\", \"name\": \"Side set\", \"include\":"
                        + " [{\"id\": \"a\", \"test\": {\"field\": \"id\", \"startsWith\": \"side-\"}}]}");
        JsonNode file = file(orla, "file.csv", "Person\nside-1\nside-9\n".getBytes(StandardCharsets.UTF_8));
        String key = "{\"here\": \"Person\", \"there\": \"id\"}";
        JsonNode roster = things(orla, "ROSTER", "side-roster").json();
        assertThat(laid(file, roster, key, "").json().get("onlyThere").asInt()).isEqualTo(1);
        JsonNode list = things(orla, "LIST", "side-set").json();
        JsonNode laid = laid(file, list, key, "").json();
        assertThat(laid.get("same").asInt()).isEqualTo(1);
        assertThat(laid.get("onlyHere").asInt()).isEqualTo(1);
        assertThat(pile(laid, "ONLY_THERE").at("/rows/0").toString()).contains("side-2", "Beneathby", "1903-03-04");
        JsonNode everybody = things(orla, "PEOPLE", "").json();
        assertThat(laid(file, everybody, key, "").json().get("same").asInt()).isEqualTo(1);
        assertThat(People.signedIn(Role.MANAGER)
                        .get("/api/audit?act=PEOPLE_LISTED")
                        .text())
                .contains("Side set, to be laid side by side");

        Visitor other = People.coordinator();
        assertThat(things(other, "LIST", "side-set").status()).isEqualTo(404);
        assertThat(other.get("/api/comparisons/laid/" + laid.get("id").asString() + "/SAME")
                        .status())
                .isEqualTo(404);
    }

    private static Reply things(Visitor who, String kind, String ref) throws Exception {
        return who.post("/api/comparisons/things", "{\"kind\": \"" + kind + "\", \"ref\": \"" + ref + "\"}");
    }

    @Test
    void how_two_are_laid_is_saved_and_one_of_a_private_list_is_not_there_for_another() throws Exception {
        People.publishPrivately(
                orla,
                "side-own",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"side-own\", \"name\": \"Own\", \"include\":"
                        + " [{\"id\": \"a\", \"test\": {\"field\": \"id\", \"equals\": \"side-1\"}}]}");
        String change = """
                {"name": "%s", "here": {"kind": "FILE", "ref": "", "name": "yesterday.csv", "columns": ["Number"]},
                 "there": {"kind": "%s", "ref": "%s", "name": "x", "columns": ["id"]},
                 "key": [{"here": "Number", "there": "id"}], "compared": []}""";
        String open = change.formatted("Open", "FILE", "");
        assertThat(orla.put("/api/comparisons/side-open", open, "").status()).isEqualTo(200);
        assertThat(orla.put("/api/comparisons/side-open", open, "").status()).isEqualTo(409);
        assertThat(orla.put("/api/comparisons/side-open", open, "\"1\"")
                        .json()
                        .get("version")
                        .asInt())
                .isEqualTo(2);
        assertThat(orla.put("/api/comparisons/side-open", open, "\"1\"").status())
                .isEqualTo(412);
        assertThat(orla.put("/api/comparisons/side-private", change.formatted("Private", "LIST", "side-own"), "")
                        .status())
                .isEqualTo(200);

        Visitor other = People.coordinator();
        assertThat(other.get("/api/comparisons").text()).contains("side-open").doesNotContain("side-own");
        assertThat(other.delete("/api/comparisons/side-private", "\"1\"").status())
                .isEqualTo(404);
        assertThat(orla.delete("/api/comparisons/side-open", "\"2\"").status()).isEqualTo(204);
    }

    @Test
    void what_cannot_be_laid_is_told() throws Exception {
        JsonNode one = file(orla, "one.csv", "a,b\n1,2\n".getBytes(StandardCharsets.UTF_8));
        Reply none = laid(one, one, "{\"here\": \"a\", \"there\": \"c\"}", "");
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.json().get("detail").asString()).startsWith("There is no column “c”.");
        Reply open = orla.post("/api/comparisons/files?name=x.csv", "a,b\n1,\"2\n".getBytes(StandardCharsets.UTF_8));
        assertThat(open.status()).isEqualTo(422);
        assertThat(open.json().get("detail").asString()).startsWith("“x.csv” cannot be read:");
        byte[] separated = "k;v,w\n1;2,3\n".getBytes(StandardCharsets.UTF_8);
        assertThat(file(orla, "s.csv&separator=%3B", separated)
                        .at("/columns/1/name")
                        .asString())
                .isEqualTo("v,w");
        assertThat(file(orla, "s.csv&separator=,", separated)
                        .at("/columns/1/name")
                        .asString())
                .isEqualTo("w");
        JsonNode dates = file(
                orla,
                "d.csv",
                ("a,day\n" + "1,28/04/1961\n".repeat(20) + "3,31/02/1961\n").getBytes(StandardCharsets.UTF_8));
        assertThat(dates.get("openDates").asBoolean()).isFalse();
        assertThat(dates.get("unreadable").asInt()).isEqualTo(1);
        JsonNode either = file(orla, "e.csv", "a,day\n1,03/04/1961\n2,05/06/1961\n".getBytes(StandardCharsets.UTF_8));
        assertThat(either.get("openDates").asBoolean()).isTrue();
    }
}
