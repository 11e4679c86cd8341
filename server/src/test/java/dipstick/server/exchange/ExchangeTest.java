package dipstick.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openpdf.text.pdf.PdfReader;
import org.openpdf.text.pdf.parser.PdfTextExtractor;

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
        People.bringIn(coordinator, "PEOPLE", """
                id,family_name,given_name,phone,email,address,city,postcode,language,do_not_contact
                out-1,=Marl,Ada,01632 960001,ada@example.org,1 Alder Walk,Otterbrook,OB1 1QX,en,no
                out-2,Wójcik,Łucja,01632 960002,,2 Eel Lane,Otterbrook,OB1 2QX,pl,no
                out-3,Tove,Bo,01632 960003,bo@example.org,,,,en,no
                out-4,Wend,Cy,01632 960004,cy@example.org,4 Eel Lane,Otterbrook,OB1 4QX,en,yes
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
        assertThat(lines).hasSize(6);
        assertThat(lines.get(0)).endsWith("name,phone");
        assertThat(lines.get(1)).isEqualTo("\"'=Marl, Ada\",01632 960001");
        assertThat(lines.getLast()).contains("Going out · Person person").contains("call them");
    }

    @Test
    void a_spreadsheet_is_read_back_cell_by_cell() throws Exception {
        byte[] file =
                caller.bytes("/api/lists/going-out/out", wanted("XLSX", "\"PERSON_ID\", \"FAMILY_NAME\"", "test"));
        List<String> cells = new ArrayList<>();
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(file))) {
            for (Row row : book.getFirstSheet().read()) {
                row.forEach(cell -> cells.add(cell == null ? "" : cell.getText()));
            }
        }
        assertThat(cells)
                .startsWith("person_id", "family_name", "out-1", "=Marl", "out-2", "Wójcik")
                .last()
                .asString()
                .contains("test");
    }

    private static List<String> pages(byte[] pdf) throws Exception {
        List<String> pages = new ArrayList<>();
        try (PdfReader reader = new PdfReader(pdf)) {
            for (int page = 1; page <= reader.getNumberOfPages(); page++) {
                pages.add(new PdfTextExtractor(reader).getTextFromPage(page).replaceAll("\\s+", " "));
            }
        }
        return pages;
    }

    @Test
    void letters_are_in_each_language_and_who_has_no_address_or_does_not_want_any_is_told() throws Exception {
        String letter = "{\"subject\": \"Prosimy o kontakt\", \"body\": \"Dzień dobry {{given_name}},\\n\\n{{list}}\"}";
        assertThat(coordinator.put("/api/letters/Recall/pl", letter, "\"0\"").status())
                .isEqualTo(200);
        var check = caller.post("/api/lists/going-out/out/letters-check", wanted("LETTERS", "", "recall"))
                .json();
        assertThat(check.get("byLanguage").toString()).isEqualTo("{\"en\":1,\"pl\":1}");
        assertThat(check.at("/leftOut/0/why").asString()).isEqualTo("No address is on record.");
        assertThat(check.at("/leftOut/1/why").asString()).isEqualTo("Asked not to be contacted.");

        List<String> pages = pages(caller.bytes("/api/lists/going-out/out", wanted("LETTERS", "", "recall")));
        assertThat(pages).hasSize(2);
        assertThat(pages.get(0)).contains("Ada =Marl", "1 Alder Walk", "OB1 1QX Otterbrook", "Going out", "recall");
        assertThat(pages.get(1)).contains("Łucja Wójcik", "Dzień dobry Łucja");
        assertThat(pages(caller.bytes("/api/lists/going-out/out", wanted("LABELS", "", "recall"))))
                .singleElement()
                .asString()
                .contains("2 Eel Lane", "Person person", "recall")
                .doesNotContain("4 Eel Lane");
        assertThat(pages(caller.bytes("/api/lists/going-out/out", wanted("CALL_SHEET", "", "recall"))))
                .singleElement()
                .asString()
                .contains("01632 960003", "Not to be called: Asked not to be contacted.");
    }

    @Test
    void nothing_is_sent_to_those_whom_a_colleague_has_in_hand_or_who_are_done_with() throws Exception {
        People.bringIn(coordinator, "PEOPLE", "id,family_name,address\nway-1,Held,1 Ash Row\nway-2,Shut,2 Ash Row\n");
        People.publish(
                coordinator,
                "in-the-way",
                SET.replace("going-out", "in-the-way").replace("out-", "way-"));
        Desks own = new Desks(coordinator, "in-the-way");
        own.does("TAKE", "way-1");
        own.does("CLOSE", "way-2", "words", "\"no response\"");
        Reply check = caller.post(
                "/api/lists/in-the-way/out/letters-check",
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
                                "/api/lists/in-the-way/out/letters-check",
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
                        .put("/api/letters/Recall/en", "{\"subject\": \"s\", \"body\": \"b\"}", "\"7\"")
                        .status())
                .isEqualTo(412);
        assertThat(caller.post(
                                "/api/lists/going-out/out/preview",
                                "{\"person\": \"out-2\", \"subject\": \"{{list}}\", \"body\": \"Dear {{name}}\"}")
                        .json()
                        .toString())
                .isEqualTo("{\"subject\":\"Going out\",\"body\":\"Dear Łucja Wójcik\"}");
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
        assertThat(calendar).doesNotContain("Marl");
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
