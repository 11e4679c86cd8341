package dipstick.server.lists;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.io.ByteArrayInputStream;
import java.util.List;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a set shows and how it orders its list takes effect wherever the list is shown or taken out. */
class ShowAndOrderTest {
    private static final String SET = """
            {"format": "dipstick-criteria/1", "id": "shown", "name": "Shown",
             "include": [{"id": "mine", "test": {"field": "id", "startsWith": "shown-"}}],
             "show": ["mobile", "Falls score", "band"],
             "order": [{"by": "Falls score", "descending": true}]}""";

    private static Visitor coordinator;

    @BeforeAll
    static void bringIn() throws Exception {
        coordinator = People.signedIn("shower", Role.COORDINATOR);
        People.bringIn(coordinator, """
                id,family_name,given_name,mobile,Falls score:number
                shown-1,Ash,Ada,01632 960001,3
                shown-2,Birch,Bo,,12.5
                shown-3,Cedar,Cy,01632 960003,
                """);
        People.publish(coordinator, "shown", SET);
    }

    private static Reply out(String format, String where) throws Exception {
        return coordinator.post("/api/lists/shown/out" + where, wanted(format, "[\"Falls score\"]"));
    }

    private static String wanted(String format, String fields) {
        return "{\"format\": \"" + format + "\", \"people\": [\"shown-2\", \"shown-1\", \"shown-3\"],"
                + " \"columns\": [\"PERSON_ID\", \"MOBILE\"], \"fields\": " + fields
                + ", \"template\": \"\", \"reason\": \"to call them\"}";
    }

    @Test
    void the_desk_shows_the_fields_and_says_where_each_stands() throws Exception {
        JsonNode desk = coordinator.get("/api/lists/shown/desk").json();
        assertThat(desk.get("show").valueStream().map(one -> one.get("name").asString() + " " + one.get("ofCriterion")))
                .containsExactly("mobile false", "Falls score false", "band false");
        assertThat(desk.get("rows")
                        .valueStream()
                        .map(row -> row.at("/person/id").asString() + " " + row.get("shown")))
                .containsExactly(
                        "shown-2 {\"mobile\":\"\",\"Falls score\":\"12.5\"}",
                        "shown-1 {\"mobile\":\"01632 960001\",\"Falls score\":\"3\"}",
                        "shown-3 {\"mobile\":\"01632 960003\",\"Falls score\":\"\"}");
    }

    @Test
    void the_bench_shows_those_on_the_list_so() throws Exception {
        JsonNode who = coordinator
                .post(
                        "/api/bench/who",
                        "{\"draft\": {\"document\": " + SET + ", \"settings\": {}}, \"part\": \"ON_LIST\"}")
                .json();
        assertThat(who.get("people")
                        .valueStream()
                        .map(line -> line.at("/person/id").asString() + " " + line.get("shown")))
                .containsExactly(
                        "shown-2 [\"\",\"12.5\",\"\"]",
                        "shown-1 [\"01632 960001\",\"3\",\"\"]",
                        "shown-3 [\"01632 960003\",\"\",\"\"]");
    }

    @Test
    void the_list_as_csv_has_them_named_so_that_it_can_come_back_in_and_a_file_beside_it() throws Exception {
        List<String> lines =
                coordinator.get("/api/lists/shown/csv").text().lines().toList();
        assertThat(lines.getFirst()).endsWith("do_not_contact,mobile,Falls score:number");
        assertThat(lines.get(1)).startsWith("shown-2,on").endsWith(",,12.5");
        JsonNode about = coordinator.get("/api/lists/shown/csv-metadata.json").json();
        assertThat(about.get("dc:title").asString()).startsWith("Shown, ");
        assertThat(about.at("/tableSchema/columns")
                        .valueStream()
                        .map(column -> column.get("titles").asString()))
                .containsExactly(lines.getFirst().substring(1).split(","));
    }

    @Test
    void a_table_that_goes_out_has_the_field_and_beside_it_who_took_it_when_and_why() throws Exception {
        List<String> lines = out("CSV", "").text().lines().toList();
        assertThat(lines)
                .containsExactly(
                        "\uFEFFid,mobile,Falls score:number",
                        "shown-2,,12.5",
                        "shown-1,01632 960001,3",
                        "shown-3,01632 960003,");
        JsonNode about = out("CSV", "/about").json();
        assertThat(about.get("@context").asString()).isEqualTo("http://www.w3.org/ns/csvw");
        assertThat(about.get("url").asString()).startsWith("list-shown-").endsWith(".csv");
        assertThat(about.get("dc:creator").asString()).isEqualTo("Person shower");
        assertThat(about.get("dc:description").asString()).isEqualTo("to call them");
        assertThat(about.get("dc:created").asString()).matches("\\d{4}-\\d\\d-\\d\\dT.*Z");
        assertThat(People.bringIn(coordinator, String.join("\n", lines))
                        .at("/taken/people/unchanged")
                        .asInt())
                .isEqualTo(3);
    }

    @Test
    void what_a_criterion_finds_is_a_column_everywhere_and_the_first_so_many_are_shown_with_how_many_there_are()
            throws Exception {
        People.bringIn(coordinator, """
                person_id,kind,code,on,value,unit
                shown-1,result,SOA,2026-03-01,7,mm
                shown-2,result,SOA,2026-01-01,5,mm
                shown-2,result,SOA,2026-02-01,6.50,mm
                """);
        String columns = """
                "termSets": [{"id": "soak", "name": "soak test", "members": [{"code": "SOA"}]}],
                "exclude": [{"id": "soaked", "off": true, "test": {"events": {"terms": ["soak"]}}}],
                "show": [{"criterion": "soaked", "column": "count"}, {"criterion": "soaked", "column": "value"}],
                "order": [{"by": {"criterion": "soaked", "column": "latest"}, "descending": true}], "top": 2}""";
        String set = SET.substring(0, SET.indexOf("\"show\"")).replace("\"shown\"", "\"soaked-set\"") + columns;
        People.publish(coordinator, "soaked-set", set);

        JsonNode desk =
                coordinator.get("/api/lists/soaked-set/desk?everybody=true").json();
        assertThat(desk.get("top").asInt()).isEqualTo(2);
        assertThat(desk.get("rows")
                        .valueStream()
                        .map(row ->
                                row.at("/person/id").asString() + " " + row.get("beyondTop") + " " + row.get("shown")))
                .containsExactly(
                        "shown-1 false {\"Soak test: how many\":\"1\",\"Soak test: latest value\":\"7 mm\"}",
                        "shown-2 false {\"Soak test: how many\":\"2\",\"Soak test: latest value\":\"6.5 mm\"}",
                        "shown-3 true {\"Soak test: how many\":\"0\",\"Soak test: latest value\":\"\"}");
        JsonNode who = coordinator
                .post(
                        "/api/bench/who",
                        "{\"draft\": {\"document\": " + set + ", \"settings\": {}}, \"part\": \"ON_LIST\"}")
                .json();
        assertThat(who.get("total").asInt() + " " + who.get("top") + " " + who.at("/people/1/shown"))
                .isEqualTo("3 2 [\"2\",\"6.5 mm\"]");
        assertThat(coordinator.get("/api/lists/soaked-set/csv").text().lines().map(line -> line.substring(0, 7)))
                .containsExactly("\uFEFFid,sta", "shown-1", "shown-2");
        assertThat(coordinator
                        .get("/api/lists/soaked-set/csv-metadata.json")
                        .json()
                        .get("dc:description")
                        .asString())
                .isEqualTo("The first 2 of 3 on the list");
        assertThat(coordinator
                        .post("/api/lists/soaked-set/out", wanted("CSV", "[\"Soak test: latest value\"]"))
                        .text()
                        .lines())
                .containsExactly(
                        "\uFEFFid,mobile,Soak test: latest value",
                        "shown-2,,6.5 mm",
                        "shown-1,01632 960001,7 mm",
                        "shown-3,01632 960003,");
    }

    @Test
    void in_a_spreadsheet_a_number_is_a_number() throws Exception {
        byte[] file = coordinator.bytes("/api/lists/shown/out", wanted("XLSX", "[\"Falls score\"]"));
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
            Row row = book.getFirstSheet().read().get(1);
            assertThat(row.getCell(2).getType()).isEqualTo(CellType.NUMBER);
            assertThat(row.getCell(2).asNumber()).isEqualByComparingTo("12.5");
        }
    }

    @Test
    void a_field_that_is_no_more_and_a_way_to_reach_somebody_without_a_reason_are_refused() throws Exception {
        Reply gone = coordinator.post("/api/lists/shown/out", wanted("CSV", "[\"Shoe size\"]"));
        assertThat(gone.type()).isEqualTo("urn:dipstick:no-such-field");
        assertThat(coordinator
                        .post("/api/lists/shown/out", wanted("CSV", "[null]"))
                        .type())
                .isEqualTo("urn:dipstick:unreadable");
        Reply refused = coordinator.post(
                "/api/lists/shown/out",
                wanted("CSV", "[\"email\"]").replace(", \"MOBILE\"", "").replace("to call them", " "));
        assertThat(refused.type()).isEqualTo("urn:dipstick:reason-missing");
    }
}
