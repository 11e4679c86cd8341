package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.charset.Charset;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Files of other systems, from the first one to the next week's, and back again. */
class DeliveriesTest {
    private static final String LAB = """
            Patient No;Surname;DOB;Test;Result;Unit;Taken on
            l1;Marl;17/05/1961;Kalium;4,2;mmol/L;03/11/2026
            l2;Vask;03/04/1958;eGFR;>90;mL/min;04/11/2026
            l2;Vask;03/04/1958;eGFR;88;mL/min;31/02/2026
            """;

    private static final String HAS_KALIUM = """
            {"format": "dipstick-criteria/1", "id": "kalium", "name": "Kalium known",
             "include": [{"id": "k", "test": {"events": {"kinds": ["result"]}}}]}""";

    private RunningServer server;
    private Visitor orla;
    private Sent sent;

    @BeforeEach
    void start(@TempDir Path folder) throws Exception {
        server = RunningServer.over(folder, Clock.systemUTC());
        orla = server.signedIn("orla", Role.COORDINATOR);
        sent = new Sent(orla);
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    @Test
    void a_file_of_a_laboratory_is_seen_taken_and_known_again_next_week() throws Exception {
        People.bringIn(orla, "id,family_name,phone\nl1,Marl,01632 960001\n");
        People.publish(orla, "kalium", HAS_KALIUM);
        JsonNode tried = sent.file("lab results.csv", LAB);

        assertThat(tried.get("stage").asString()).as(tried.toString()).isEqualTo("TRIED");
        assertThat(tried.at("/found/known").asBoolean()).isFalse();
        assertThat(Sent.counts(tried.at("/trial/brought"))).isEqualTo("people 1 new 1 changed, events 2 new 0 changed");
        assertThat(tried.at("/trial/troubles/0/reason").asString()).isEqualTo("NO_DATE");
        assertThat(tried.at("/trial/troubles/0/first/0/line").asInt()).isEqualTo(4);
        assertThat(tried.at("/trial/effects"))
                .as("told before it is taken")
                .singleElement()
                .satisfies(effect -> assertThat(effect.get("joined").asInt()).isEqualTo(2));
        assertThat(overview().get("records").asInt())
                .as("a trial keeps nothing")
                .isZero();
        assertThat(overview().get("people").asInt()).isEqualTo(1);

        JsonNode taken = sent.take(tried);
        assertThat(Sent.counts(taken.get("taken"))).isEqualTo(Sent.counts(tried.at("/trial/brought")));
        assertThat(overview().get("records").asInt()).isEqualTo(2);
        assertThat(sent.person("l1")).as("a second source fills what it knows").containsEntry("phone", "01632 960001");
        assertThat(sent.person("l1")).containsEntry("birth date", "17 May 1961");

        JsonNode next = sent.file(
                "lab results 2.csv", LAB.replace("4,2", "4,4") + "l3;Tove;01/02/1990;Kalium;3;mmol/L;1/12/2026\n");
        assertThat(next.at("/found/known").asBoolean()).as("by its shape").isTrue();
        assertThat(next.at("/trial/takenBefore").isMissingNode()
                        || next.at("/trial/takenBefore").isNull())
                .isTrue();
        JsonNode grown = sent.file(
                "lab grown.csv", LAB.replace("Taken on\n", "Taken on;Ward\n").replace("2026\n", "2026;7\n"));
        assertThat(grown.at("/found/known").asBoolean()).isTrue();
        assertThat(grown.at("/trial/strange/0").asString()).contains("“Ward” is new");
        assertThat(sent.file("other.csv", "Patient No;Surname;DOB\nl9;Ard;17/05/1961\n")
                        .at("/found/known")
                        .asBoolean())
                .as("half of its columns are another kind of file")
                .isFalse();
        JsonNode same = sent.file("lab results.csv", LAB);
        assertThat(same.at("/trial/takenBefore").asString(""))
                .as("the very same file")
                .isNotEmpty();
        assertThat(Sent.counts(same.at("/trial/brought"))).isEqualTo("people 0 new 0 changed, events 0 new 0 changed");
    }

    @Test
    void what_is_open_is_asked_and_mended_before_it_is_taken() throws Exception {
        JsonNode tried = sent.file("people.csv", "Patient ID,Surname,Born\n1,Marl,03/04/1961\n2,Vask,05/06/1970\n");
        assertThat(tried.at("/found/questions/0/what").asString()).isEqualTo("DATE_ORDER");
        assertThat(tried.at("/trial/good").asBoolean())
                .as("nothing that would come in empty")
                .isFalse();
        assertThat(orla.post(Sent.address(tried) + "/take", "").status()).isEqualTo(409);

        ObjectNode intake = (ObjectNode) tried.get("intake");
        intake.putObject("written").put("dates", "day-first");
        JsonNode mended = sent.settled(
                orla.put(Sent.address(tried) + "/intake", intake.toString(), "").json());
        assertThat(mended.at("/trial/badRows").asInt()).as(mended.toString()).isZero();
        sent.take(mended);
        assertThat(sent.person("1")).containsEntry("birth date", "3 Apr 1961");

        intake.remove("whose");
        assertThat(orla.put(Sent.address(tried) + "/intake", intake.toString(), "")
                        .type())
                .isEqualTo("urn:dipstick:invalid-intake");
        assertThat(orla.get("/api/intakes").json()).hasSize(1);
    }

    @Test
    void letters_and_separators_that_were_taken_for_others_are_said_otherwise_and_stay_so_next_week() throws Exception {
        byte[] file = "Patient ID;Surname;Town\np1;Żółć;Łąka\np2;Marl;Ves\n".getBytes(Charset.forName("windows-1250"));
        JsonNode tried = sent.file("poles.csv", file);
        assertThat(tried.at("/found/readAs/separator").asString()).isEqualTo(";");
        assertThat(tried.at("/trial/first/0").toString()).doesNotContain("Żółć");
        JsonNode anew = sent.settled(orla.put(
                        Sent.address(tried) + "/reading",
                        "{\"encoding\": \"windows-1250\", \"separator\": \"\", \"sheet\": \"\"}",
                        "")
                .json());
        assertThat(anew.at("/trial/first/0").toString()).contains("Żółć", "Łąka");
        assertThat(anew.at("/intake/table/encoding").asString()).isEqualTo("windows-1250");
        sent.take(anew);
        assertThat(sent.file("poles.csv", file)
                        .at("/trial/brought/people/unchanged")
                        .asInt())
                .isEqualTo(2);

        JsonNode wrong = sent.settled(orla.put(
                        Sent.address(sent.file("x.csv", "Patient ID,Surname\n1,Marl\n")) + "/reading",
                        "{\"encoding\": \"no such\", \"separator\": \"\", \"sheet\": \"\"}",
                        "")
                .json());
        assertThat(wrong.get("stage").asString()).isEqualTo("FAILED");
        assertThat(wrong.get("reason").asString()).startsWith("There is no encoding “no such”.");
        JsonNode back = sent.settled(orla.put(
                        Sent.address(wrong) + "/reading",
                        "{\"encoding\": \"\", \"separator\": \"\", \"sheet\": \"\"}",
                        "")
                .json());
        assertThat(back.get("stage").asString())
                .as("what was wrong is said otherwise")
                .isEqualTo("TRIED");
    }

    @Test
    void a_word_never_seen_before_is_told_with_those_on_file_and_taken_for_one_of_them() throws Exception {
        People.bringIn(orla, "id,family_name,status\nw1,Marl,active\nw2,Vask,moved away\n");
        String header = "Patient ID,Surname,Status\n";
        sent.take(sent.file("members.csv", header + "w1,Marl,active\n"));
        JsonNode tried = sent.file("members.csv", header + "w1,Marl,ACT\nw2,Vask,moved away\n");
        assertThat(tried.at("/trial/neverSeen").toString())
                .isEqualTo(
                        "[{\"ofPeople\":true,\"field\":\"status\",\"words\":[\"ACT\"],\"onFile\":[\"active\",\"moved away\"]}]");
        ObjectNode intake = (ObjectNode) tried.get("intake");
        ((ObjectNode) intake.at("/people/fields/status")).putObject("values").put("ACT", "active");
        JsonNode mended = sent.settled(
                orla.put(Sent.address(tried) + "/intake", intake.toString(), "").json());
        assertThat(mended.at("/trial/neverSeen")).isEmpty();
        assertThat(Sent.counts(mended.at("/trial/brought")))
                .isEqualTo("people 0 new 0 changed, events 0 new 0 changed");
    }

    @Test
    void what_kind_of_record_a_row_is_must_be_said_and_files_of_one_name_are_two_intakes() throws Exception {
        String rows = "Patient ID,Date,Description\n1,2026-11-03,seen\n";
        JsonNode tried = sent.file("export.csv", rows);
        assertThat(tried.at("/found/questions/0/what").asString()).isEqualTo("KIND");
        assertThat(orla.post(Sent.address(tried) + "/take", "").type()).isEqualTo("urn:dipstick:cannot-be-taken");

        ObjectNode intake = (ObjectNode) tried.get("intake");
        ((ObjectNode) intake.at("/events/0/fields")).putObject("kind").put("constant", "contact");
        sent.take(sent.settled(
                orla.put(Sent.address(tried) + "/intake", intake.toString(), "").json()));
        sent.take(sent.file("export.csv", "Patient Number,Surname,Telephone\n1,Marl,01632 960001\n"));
        assertThat(orla.get("/api/intakes").json()).hasSize(2);
        JsonNode again = sent.file("week 2.csv", rows.replace("seen", "reached"));
        assertThat(again.at("/found/known").asBoolean())
                .as("the first is still known")
                .isTrue();
        assertThat(again.at("/intake/events/0/fields/kind/constant").asString()).isEqualTo("contact");
    }

    @Test
    void a_delivery_is_taken_back_but_for_what_was_changed_since() throws Exception {
        People.bringIn(orla, "id,family_name,birth_date\nl1,Marlowe,1950\n");
        sent.take(sent.file("lab.csv", LAB));
        People.bringIn(orla, "id,phone\nl2,01632 960002\n");

        JsonNode imports = overview().get("imports");
        String delivery = "/api/deliveries/taken/" + imports.get(1).get("id").asLong() + "/taking-back";
        JsonNode look = orla.get(delivery).json();
        assertThat(look.get("gone").asInt()).isEqualTo(3);
        assertThat(look.get("asBefore").asInt()).isEqualTo(1);
        assertThat(look.get("changedSince").asInt()).isEqualTo(1);
        assertThat(look.get("people").get(0).asString()).isEqualTo("l2");

        assertThat(orla.post(delivery, "").status()).isEqualTo(200);
        assertThat(overview().get("records").asInt()).isZero();
        assertThat(overview().get("people").asInt())
                .as("who was changed since stays")
                .isEqualTo(2);
        assertThat(sent.person("l1")).containsEntry("family name", "Marlowe").containsEntry("birth date", "1950");
        assertThat(orla.post(delivery, "").type()).isEqualTo("urn:dipstick:taken-back-already");
        assertThat(overview().at("/imports/1/takenBack/by").asString()).isEqualTo("orla");

        JsonNode again = sent.take(sent.file("lab.csv", LAB));
        assertThat(Sent.counts(again.get("taken")))
                .as("and taken again")
                .startsWith("people 0 new 1 changed, events 2 new");
    }

    @Test
    void what_cannot_be_read_says_so_and_changes_nothing() throws Exception {
        for (Map.Entry<String, String> file : Map.of(
                        "empty.csv", "",
                        "words.txt", "nothing of the kind",
                        "quote.csv", "Patient ID,Surname\n1,\"Marl\n2,Vask\n")
                .entrySet()) {
            JsonNode settled = sent.file(file.getKey(), file.getValue());
            boolean refused = settled.get("stage").asString().equals("FAILED")
                    || !settled.at("/trial/good").asBoolean();
            assertThat(refused).as(file.getKey() + settled).isTrue();
            assertThat(settled.toString()).doesNotContain("Exception");
        }
        assertThat(overview().get("people").asInt()).isZero();
    }

    @Test
    void what_a_file_of_unknown_columns_means_can_be_said() throws Exception {
        JsonNode unknown = sent.file("colours.csv", "Colour,Shape\nred,round\nblue,square\n");
        assertThat(unknown.get("stage").asString()).as(unknown.toString()).isEqualTo("TRIED");
        assertThat(unknown.at("/trial/good").asBoolean()).isFalse();
        assertThat(unknown.at("/found/questions/0/what").asString()).isEqualTo("WHOSE");

        ObjectNode intake = (ObjectNode) unknown.get("intake");
        intake.putObject("whose").putObject("number").put("column", "Colour");
        intake.putObject("people").putObject("fields").putObject("family_name").put("column", "Shape");
        JsonNode said = sent.settled(orla.put(Sent.address(unknown) + "/intake", intake.toString(), "")
                .json());
        sent.take(said);
        assertThat(sent.person("red")).containsEntry("family name", "round");
    }

    private JsonNode overview() throws Exception {
        return orla.get("/api/records").json();
    }

    @Test
    void a_blank_cell_leaves_what_is_on_file_but_for_what_says_something_only_together() throws Exception {
        String head = "Patient ID,Lab No,Test,Result,Units,Date,Comment\n";
        JsonNode first = sent.file("lab.csv", head + "1,L1,Sugar,7.1,mmol/L,2026-03-02,seen by Ard\n");
        ObjectNode intake = (ObjectNode) first.get("intake");
        ((ObjectNode) intake.at("/events/0")).putArray("identity").addObject().put("column", "Lab No");
        ((ObjectNode) intake.at("/events/0/fields")).putObject("site").put("column", "Comment");
        sent.take(sent.settled(
                orla.put(Sent.address(first) + "/intake", intake.toString(), "").json()));

        JsonNode blank = sent.file("lab.csv", head + "1,L1,Sugar,,,,\n1,L2,Sugar,5,mmol/L,2026-03-03,\n");
        assertThat(Sent.counts(blank.at("/trial/brought"))).isEqualTo("people 0 new 0 changed, events 1 new 0 changed");

        JsonNode corrected = sent.take(sent.file("lab.csv", head + "1,L1,Sugar,>20,,2026-03-02,\n"));
        assertThat(Sent.counts(corrected.get("taken"))).isEqualTo("people 0 new 0 changed, events 0 new 1 changed");
    }

    @Test
    void records_that_their_source_no_longer_has_go_unless_a_row_could_not_be_read() throws Exception {
        String head = "Patient ID,Lab No,Test,Result,Date\n";
        String first = head + "1,L1,Sugar,7,2026-03-02\n1,L2,Sugar,8,2026-03-02\n2,L3,Sugar,9,2026-03-02\n";
        JsonNode tried = sent.file("lab.csv", first);
        ObjectNode intake = (ObjectNode) tried.get("intake");
        ObjectNode events = (ObjectNode) intake.at("/events/0");
        events.put("everything", true);
        events.putArray("identity").addObject().put("column", "Lab No");
        sent.take(sent.settled(
                orla.put(Sent.address(tried) + "/intake", intake.toString(), "").json()));
        assertThat(overview().get("records").asInt() + overview().get("waiting").asInt())
                .isEqualTo(3);

        JsonNode unreadable = sent.file("lab.csv", head + "1,L1,Sugar,7,2026-03-02\n2,L3,Sugar,9,2026-02-31\n");
        assertThat(unreadable.at("/trial/brought/goneEvents").asInt())
                .as("what cannot be read is there")
                .isZero();
        JsonNode next = sent.file("lab.csv", head + "1,L1,Sugar,7,2026-03-02\n");
        assertThat(next.at("/trial/brought/goneEvents").asInt()).isEqualTo(2);
        JsonNode taken = sent.take(next);
        assertThat(overview().get("records").asInt() + overview().get("waiting").asInt())
                .isEqualTo(1);

        orla.post("/api/deliveries/taken/" + taken.get("delivery").asLong() + "/taking-back", "");
        assertThat(overview().get("records").asInt() + overview().get("waiting").asInt())
                .as("they are back")
                .isEqualTo(3);
    }
}
