package dipstick.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import dipstick.server.paper.Pdf;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ExchangeTest {
    private static final String SET =
            "{\"format\": \"dipstick-criteria/1\", \"id\": \"going-out\", \"name\": \"Going out\","
                    + " \"include\": [{\"id\": \"mine\", \"test\": {\"field\": \"id\", \"startsWith\": \"out-\"}}]}";

    private static Visitor coordinator;
    private static Visitor caller;

    @BeforeAll
    static void bringIn() throws Exception {
        coordinator = People.coordinator();
        caller = People.caller();
        People.bringIn(coordinator, """
                id,family_name,given_name,birth_date,phone,email,address,city,postcode,language,do_not_contact
                out-1,=Marl,Ada,1950-02-03,01632 960001,ada@example.org,1 Alder Walk,Otterbrook,OB1 1QX,en,no
                out-2,Wójcik,Łucja,,01632 960002,,2 Eel Lane,Otterbrook,OB1 2QX,pl,no
                out-3,Tove,Bo,,01632 960003,bo@example.org,,,,en,no
                out-4,Wend,Cy,,01632 960004,cy@example.org,4 Eel Lane,Otterbrook,OB1 4QX,en,yes
                """);
        People.publish(coordinator, "going-out", SET);
    }

    private static String wanted(String format, String columns, String reason) {
        return "{\"format\": \"" + format + "\", \"people\": [\"out-1\", \"out-2\", \"out-3\", \"out-4\", \"nobody\"],"
                + " \"columns\": [" + columns + "], \"template\": \"Recall\", \"reason\": \"" + reason + "\"}";
    }

    @Test
    void contact_details_go_out_only_with_a_reason_and_no_cell_is_a_formula() throws Exception {
        Reply refused = caller.post("/api/lists/going-out/out", wanted("CSV", "\"NAME\", \"PHONE\"", " "));
        assertThat(refused.type()).isEqualTo("urn:dipstick:reason-missing");
        assertThat(caller.post("/api/lists/going-out/out", wanted("CSV", "\"NAME\"", ""))
                        .status())
                .isEqualTo(200);
        List<String> lines = caller.post("/api/lists/going-out/out", wanted("CSV", "\"NAME\", \"PHONE\"", "call them"))
                .text()
                .lines()
                .toList();
        assertThat(lines).as("people alone").hasSize(5);
        assertThat(lines.get(0)).endsWith("name,phone");
        assertThat(lines.get(1)).isEqualTo("\"'=Marl, Ada\",01632 960001");
    }

    @Test
    void a_spreadsheet_is_read_back_cell_by_cell() throws Exception {
        byte[] file = caller.bytes(
                "/api/lists/going-out/out",
                wanted("XLSX", "\"PERSON_ID\", \"FAMILY_NAME\", \"BORN\", \"AGE\", \"STANDING\", \"STATE\"", "test"));
        List<List<String>> rows = new ArrayList<>();
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
            for (Row row : book.getFirstSheet().read()) {
                rows.add(row.stream()
                        .map(cell -> cell == null || cell.getType() == CellType.EMPTY
                                ? ""
                                : cell.getType() == CellType.NUMBER && cell.getColumnIndex() == 2
                                        ? cell.asDate().toLocalDate().toString()
                                        : cell.getText())
                        .toList());
            }
            assertThat(book.getSheets().map(sheet -> sheet.getName())).containsExactly("List", "About");
            assertThat(book.findSheet("About").orElseThrow().read().getFirst().getCellText(0))
                    .contains("Going out · Person person", "test");
        }
        assertThat(rows)
                .startsWith(
                        List.of("id", "family_name", "birth_date", "age", "state", "progress"),
                        List.of("out-1", "=Marl", "1950-02-03", "76", "on", "to contact"))
                .as("people alone")
                .hasSize(5);
    }

    @Test
    void a_table_that_went_out_comes_back_in_as_it_was() throws Exception {
        People.bringIn(
                coordinator, "id,family_name,birth_date,phone\nback-1,Marl,1950,+44 1632 960001\nback-2,,1950-02,\n");
        People.publish(
                coordinator,
                "coming-back",
                SET.replace("going-out", "coming-back").replace("out-", "back-"));
        String table = caller.post(
                        "/api/lists/coming-back/out",
                        wanted("CSV", "\"PERSON_ID\", \"FAMILY_NAME\", \"BORN\", \"PHONE\"", "test")
                                .replace("out-1", "back-1")
                                .replace("out-2", "back-2"))
                .text();
        JsonNode taken = People.bringIn(coordinator, table);
        assertThat(taken.at("/taken/people/unchanged").asInt()).isEqualTo(2);
        assertThat(taken.at("/trial/badRows").asInt()).isZero();
    }

    @Test
    void letters_are_in_each_language_and_who_has_no_address_or_does_not_want_any_is_told() throws Exception {
        String letter = "{\"subject\": \"Prosimy o kontakt\", \"body\": \"Dzień dobry {{given_name}}\"}";
        assertThat(coordinator.put("/api/letters/Recall/pl", letter, "\"0\"").status())
                .isEqualTo(200);
        JsonNode check = check("LETTERS");
        assertThat(check.get("byLanguage").toString()).isEqualTo("{\"en\":1,\"pl\":1}");
        assertThat(check.at("/leftOut/0/why").asString()).isEqualTo("No address is on record.");
        assertThat(check.at("/leftOut/1/why").asString()).isEqualTo("Asked not to be contacted.");

        byte[] letters = caller.bytes("/api/lists/going-out/out", wanted("LETTERS", "", "between us"));
        List<String> pages = Pdf.pages(letters);
        assertThat(pages).hasSize(2);
        assertThat(pages.get(0)).contains("Ada =Marl", "1 Alder Walk", "OB1 1QX Otterbrook");
        assertThat(pages.get(1)).contains("Łucja Wójcik", "Dzień dobry Łucja", "listopada");
        byte[] labels = caller.bytes("/api/lists/going-out/out", wanted("LABELS", "", "between us"));
        assertThat(Pdf.pages(labels))
                .singleElement()
                .asString()
                .contains("2 Eel Lane")
                .doesNotContain("4 Eel Lane");
        assertThat(Pdf.pages(letters).toString() + Pdf.pages(labels))
                .as("what is meant for staff")
                .doesNotContain("Going out", "Person person", "between us");
        assertThat(Pdf.inaccessible(letters)).isEmpty();
        assertThat(Pdf.pages(caller.bytes("/api/lists/going-out/out", wanted("CALL_SHEET", "", "between us"))))
                .singleElement()
                .asString()
                .contains("01632 960003", "Going out", "between us")
                .as("whom nobody is to call")
                .doesNotContain("Wend");
        assertThat(check("CALL_SHEET").at("/leftOut/0/why").asString()).isEqualTo("Asked not to be contacted.");
    }

    private static JsonNode check(String format) throws Exception {
        return caller.post("/api/lists/going-out/out/check", wanted(format, "", "recall"))
                .json();
    }

    @Test
    void the_same_letter_does_not_go_twice_within_its_step_unless_on_purpose() throws Exception {
        People.bringIn(coordinator, "id,family_name,address\ntwice-1,Marl,1 Ash Row\ntwice-2,Vask,2 Ash Row\n");
        People.publish(coordinator, "twice", SET.replace("going-out", "twice").replace("out-", "twice-"));
        String both = wanted("LETTERS", "", "r").replace("out-1", "twice-1").replace("out-2", "twice-2");
        String first = both.replace(", \"twice-2\"", "");
        caller.bytes("/api/lists/twice/out", first);

        JsonNode check = caller.post("/api/lists/twice/out/check", both).json();
        assertThat(check.get("people").asInt()).isOne();
        assertThat(check.get("again").asInt()).isOne();
        assertThat(check.at("/leftOut/0/why").asString())
                .startsWith("The same was written to them on ")
                .contains("Person person");
        assertThat(Pdf.pages(caller.bytes("/api/lists/twice/out", both)))
                .singleElement()
                .asString()
                .contains("Vask");
        assertThat(caller.post("/api/lists/twice/out", both).type()).isEqualTo("urn:dipstick:nobody-to-write-to");
        assertThat(Pdf.pages(caller.bytes(
                        "/api/lists/twice/out", both.replace("\"reason\"", "\"again\": true, \"reason\""))))
                .as("on purpose")
                .hasSize(2);
        assertThat(caller.post("/api/lists/twice/out/check", both.replace("LETTERS", "LABELS"))
                        .json()
                        .get("people")
                        .asInt())
                .as("a label is another thing")
                .isEqualTo(2);
    }

    @Test
    void who_cannot_be_printed_or_has_an_address_that_fits_nowhere_is_left_out_by_name() throws Exception {
        People.bringIn(
                coordinator,
                "id,family_name,address\nodd-1,𠮷野,1 Ash Row\nodd-2,Vask," + "A".repeat(90)
                        + "\nodd-3,فاطمة,\"Flat 3\nThe Long House, at the End of the Very Long Lane by the River\"\n");
        People.publish(coordinator, "odd", SET.replace("going-out", "odd").replace("out-", "odd-"));
        String wanted = wanted("LETTERS", "", "r")
                .replace("out-1", "odd-1")
                .replace("out-2", "odd-2")
                .replace("out-3", "odd-3");
        JsonNode check = caller.post("/api/lists/odd/out/check", wanted).json();
        assertThat(check.get("leftOut")
                        .valueStream()
                        .map(one -> one.get("name").asString() + ": "
                                + one.get("why").asString()))
                .containsExactly(
                        "𠮷野: “𠮷” in the name or the address cannot be printed here: no typeface has it.",
                        "Vask: The address is too long to be printed in the window of an envelope.");
        assertThat(Pdf.pages(caller.bytes("/api/lists/odd/out", wanted)))
                .singleElement()
                .asString()
                .contains("فاطمة", "Flat 3", "the River");
    }

    @Test
    void a_letter_names_the_list_only_by_its_name_for_the_people_on_it() throws Exception {
        coordinator.put("/api/letters/Named/en", "{\"subject\": \"s\", \"body\": \"About {{list}}\"}", "\"0\"");
        People.publish(coordinator, "named", SET.replace("going-out", "named"));
        String wanted = wanted("LETTERS", "", "r").replace("Recall", "Named");
        Reply refused = caller.post("/api/lists/named/out", wanted);
        assertThat(refused.type()).isEqualTo("urn:dipstick:list-not-named");
        assertThat(coordinator.put("/api/lists/named/desk/manner", """
                                {"plan": {"steps": [{"step": "LETTER", "afterDays": 0}], "afterReached": 10, "afterBooked": 3},
                                 "hold": {"appointmentDays": 0, "reachedDays": 0, "doNotContact": true, "noWay": true},
                                 "parts": [], "called": "your hearing check"}""", "\"0\"").status())
                .isEqualTo(200);
        assertThat(Pdf.pages(caller.bytes("/api/lists/named/out", wanted)).getFirst())
                .contains("About your hearing check")
                .doesNotContain("Going out");
    }

    @Test
    void letters_have_the_letterhead_and_only_a_picture_can_sign_them() throws Exception {
        JsonNode before = coordinator.get("/api/letterhead").json();
        String revision = "\"" + before.get("revision").asInt() + "\"";
        String head = "{\"practice\": \"Otterbrook Practice\", \"address\": \"1 Mill Lane\\nOtterbrook\","
                + " \"phone\": \"01632 960100\", \"email\": \"desk@example.org\", \"signedBy\": \"The outreach desk\","
                + " \"signature\": \"%s\"}";
        assertThat(coordinator
                        .put("/api/letterhead", head.formatted("file:///etc/passwd"), revision)
                        .type())
                .isEqualTo("urn:dipstick:no-picture");
        assertThat(coordinator
                        .put("/api/letterhead", head.formatted(""), revision)
                        .status())
                .isEqualTo(200);
        assertThat(coordinator
                        .put("/api/letterhead", head.formatted(""), revision)
                        .status())
                .isEqualTo(412);
        People.publish(coordinator, "headed", SET.replace("going-out", "headed"));
        assertThat(Pdf.pages(caller.bytes("/api/lists/headed/out", wanted("LETTERS", "", "r")))
                        .getFirst())
                .contains("Otterbrook Practice", "1 Mill Lane", "01632 960100", "The outreach desk");
        coordinator.put(
                "/api/letterhead",
                JsonMapper.shared().writeValueAsString(before.get("letterhead")),
                "\"" + (before.get("revision").asInt() + 1) + "\"");
    }

    @Test
    void nothing_is_sent_to_those_whom_a_colleague_has_in_hand_or_who_are_done_with() throws Exception {
        People.bringIn(coordinator, "id,family_name,address\nway-1,Held,1 Ash Row\nway-2,Shut,2 Ash Row\n");
        People.publish(
                coordinator,
                "in-the-way",
                SET.replace("going-out", "in-the-way").replace("out-", "way-"));
        Desks own = new Desks(coordinator, "in-the-way");
        own.does("TAKE", "way-1");
        own.does("CLOSE", "way-2", "words", "\"no response\"");
        Reply check = caller.post(
                "/api/lists/in-the-way/out/check",
                wanted("LETTERS", "", "recall").replace("out-1", "way-1").replace("out-2", "way-2"));
        assertThat(check.json()
                        .get("leftOut")
                        .valueStream()
                        .map(one -> one.get("why").asString()))
                .satisfiesExactly(
                        why -> assertThat(why).startsWith("Person person").endsWith("has this person in hand."),
                        why -> assertThat(why).isEqualTo("Is not to be contacted on this list any more: closed."));
        assertThat(coordinator
                        .post(
                                "/api/lists/in-the-way/out/check",
                                wanted("LETTERS", "", "recall").replace("out-1", "way-1"))
                        .json()
                        .get("byLanguage")
                        .toString())
                .as("whoever has them in hand may write to them")
                .isEqualTo("{\"en\":1}");
    }

    @Test
    void a_template_with_an_unknown_field_is_refused_and_one_is_previewed_with_a_real_person() throws Exception {
        Reply refused = coordinator.put(
                "/api/letters/Recall/en", "{\"subject\": \"s\", \"body\": \"Dear {{gievn_name}}\"}", "\"1\"");
        assertThat(refused.type()).isEqualTo("urn:dipstick:unknown-field");
        assertThat(refused.text()).contains("gievn_name").contains("given_name");
        assertThat(coordinator
                        .put("/api/letters/Recall/en", "{\"subject\": \"s\", \"body\": \"Dear {{given_name\"}", "\"1\"")
                        .type())
                .isEqualTo("urn:dipstick:broken-template");
        assertThat(coordinator
                        .put("/api/letters/Recall/en", "{\"subject\": \"s\", \"body\": \"{{> other}}\"}", "\"1\"")
                        .text())
                .contains("there is no other template “other”");
        assertThat(coordinator
                        .put("/api/letters/Recall/en", "{\"subject\": \"s\", \"body\": \"b\"}", "\"7\"")
                        .status())
                .isEqualTo(412);
        assertThat(caller.post(
                                "/api/lists/going-out/out/preview",
                                "{\"person\": \"out-2\", \"subject\": \"{{city}}\", \"body\": \"Dear {{name}}\"}")
                        .json()
                        .toString())
                .isEqualTo("{\"subject\":\"Otterbrook\",\"body\":\"Dear Łucja Wójcik\"}");
    }

    @Test
    void follow_ups_are_a_calendar_at_a_private_address_that_can_be_revoked() throws Exception {
        caller.post(
                "/api/lists/going-out/desk/work",
                "{\"kind\": \"TAKE\", \"batch\": \"calendar\", \"people\": [{\"person\": \"out-1\", \"revision\": 1}],"
                        + " \"outcome\": \"\", \"words\": \"\", \"step\": \"NONE\", \"day\": \"\", \"to\": \"\","
                        + " \"everywhere\": false}");
        String address =
                caller.post("/api/session/calendar", "").json().get("address").asString();
        Visitor anybody = RunningServer.shared().visitor();
        String calendar = anybody.get(address).text();
        List<VEvent> events =
                new CalendarBuilder().build(new StringReader(calendar)).getComponents("VEVENT");
        assertThat(events).anyMatch(event -> event.getSummary().getValue().equals("Call: out-1, Going out"));
        assertThat(calendar)
                .doesNotContain("Marl")
                .contains("X-WR-CALNAME:Follow-ups", "REFRESH-INTERVAL", "TRANSP:TRANSPARENT")
                .containsPattern("URL:http://localhost:\\d+/lists/going-out\\?person=out-1");
        anybody.get(address);
        Visitor manager = People.signedIn(Role.MANAGER);
        assertThat(manager.get("/api/audit?act=CALENDAR_READ").json().get("entries"))
                .as("asked for twice within a day")
                .hasSize(1);
        caller.delete("/api/session/calendar");
        assertThat(anybody.get(address).status()).isEqualTo(404);
    }

    @Test
    void without_a_mail_server_nothing_is_sent_and_that_is_said() throws Exception {
        Reply refused = caller.post(
                "/api/lists/going-out/out/mail",
                "{\"people\": [\"out-1\"], \"template\": \"Recall\", \"reason\": \"recall\"}");
        assertThat(refused.type()).isEqualTo("urn:dipstick:no-mail-server");
        assertThat(new String(caller.bytes("/api/lists/going-out/out", "{}"), StandardCharsets.UTF_8))
                .contains("incomplete");
    }
}
