package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A source owns what it brought; another one fills blanks, and is heard before it only where its intake ranks higher. */
class SourcesTest {
    private static final String CLINIC = """
            Patient No,Surname,Telephone,Email
            1,Marl,01632 960001,
            2,Vask,01632 960002,
            """;
    private static final String LAB = """
            Patient No,Surname,Mobile,Telephone,E-Mail,Town
            1,MARL,,01632 960009,ada@example.org,Otterbrook
            2,Vask,,,,
            """;

    private RunningServer server;
    private Visitor orla;
    private Sent sent;

    @BeforeEach
    void start(@TempDir Path data) throws Exception {
        server = RunningServer.over(data, Clock.systemUTC());
        orla = server.signedIn("orla", Role.COORDINATOR);
        sent = new Sent(orla);
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    /** A file that says that it is all of its source, and clears what is blank. */
    private JsonNode take(String name, String file, int rank, boolean blanksClear) throws Exception {
        JsonNode tried = sent.file(name, file);
        ObjectNode intake = (ObjectNode) tried.get("intake");
        intake.put("rank", rank);
        ((ObjectNode) intake.get("people")).put("blanksClear", blanksClear);
        JsonNode again = sent.settled(
                orla.put(Sent.address(tried) + "/intake", intake.toString(), "").json());
        return sent.take(again);
    }

    private List<List<String>> otherwise() throws Exception {
        return orla.get("/api/records/state/otherwise")
                .json()
                .get("rows")
                .valueStream()
                .map(row -> row.valueStream().map(JsonNode::asString).toList())
                .toList();
    }

    @Test
    void a_second_source_fills_blanks_and_what_it_says_otherwise_is_kept_to_be_looked_at() throws Exception {
        take("clinic.csv", CLINIC, 0, false);
        JsonNode lab = take("lab.csv", LAB, 0, true);

        assertThat(lab.at("/trial/brought/otherwise").asInt())
                .as("a name in capitals is the same name")
                .isEqualTo(1);
        assertThat(lab.at("/trial/brought/firstOtherwise/0").toString())
                .isEqualTo("{\"person\":\"1\",\"field\":\"phone\",\"kept\":\"01632 960001\",\"owner\":\"clinic\","
                        + "\"said\":\"01632 960009\"}");
        assertThat(sent.person("1"))
                .containsEntry("family name", "Marl")
                .containsEntry("phone", "01632 960001")
                .containsEntry("email", "ada@example.org")
                .containsEntry("city", "Otterbrook");
        assertThat(sent.person("2"))
                .as("a blank never wipes what another source knows")
                .containsEntry("phone", "01632 960002");
        assertThat(otherwise())
                .containsExactly(List.of("1", "", "phone", "01632 960001", "clinic", "01632 960009", "lab"));
        assertThat(orla.get("/api/records/state").json().at("/otherwise").toString())
                .isEqualTo("{\"people\":1,\"values\":1}");
        assertThat(orla.get("/api/records/state/otherwise/file").text()).contains("01632 960009");

        take("clinic.csv", CLINIC.replace("960001", "960009"), 0, false);
        assertThat(otherwise()).as("they agree by now").isEmpty();
    }

    @Test
    void a_higher_rank_is_heard_first_and_a_lower_one_later_still_gives_way() throws Exception {
        take("clinic.csv", CLINIC, 0, true);
        take("lab.csv", LAB, 3, false);
        assertThat(sent.person("1")).containsEntry("phone", "01632 960009");
        assertThat(sent.person("2")).containsEntry("phone", "01632 960002");

        JsonNode clinic = take("clinic.csv", CLINIC, 0, true);
        assertThat(clinic.at("/taken/otherwise").asInt()).isEqualTo(1);
        assertThat(sent.person("1"))
                .containsEntry("phone", "01632 960009")
                .as("what the laboratory filled is no blank of the clinic's to clear")
                .containsEntry("email", "ada@example.org");
        assertThat(otherwise())
                .containsExactly(List.of("1", "", "phone", "01632 960009", "lab", "01632 960001", "clinic"));

        long delivery = clinic.get("delivery").asLong();
        orla.post("/api/deliveries/taken/" + delivery + "/taking-back", "");
        assertThat(otherwise()).isEmpty();
    }

    @Test
    void that_somebody_is_not_to_be_contacted_counts_whichever_source_says_it() throws Exception {
        String clinic = "Patient No,Surname,Do not contact\n1,Marl,no\n";
        take("clinic.csv", clinic, 0, false);
        take("lab.csv", "Patient No,Mobile,Opt out,Town\n1,,yes,\n", 0, false);
        assertThat(sent.person("1")).containsEntry("do not contact", "yes");
        take("clinic.csv", clinic, 0, false);
        assertThat(sent.person("1"))
                .as("it is taken back where it was said, or by a person")
                .containsEntry("do not contact", "yes");
    }

    @Test
    void a_plain_file_changes_what_no_source_brought_by_name() throws Exception {
        People.bringIn(orla, "id,family_name,phone\n1,Marl,01632 960007\n");
        JsonNode clinic = take("clinic.csv", CLINIC, 0, false);
        assertThat(clinic.at("/taken/people/changed").asInt())
                .as("nobody owned the number")
                .isEqualTo(1);
        JsonNode plain = People.bringIn(orla, "id,family_name,phone\n1,Marlowe,01632 960008\n");
        assertThat(plain.at("/taken/otherwise").asInt()).isEqualTo(1);
        assertThat(sent.person("1"))
                .as("a name that both sources say is still nobody's")
                .containsEntry("family name", "Marlowe")
                .containsEntry("phone", "01632 960001");
    }

    @Test
    void a_record_of_another_source_is_filled_and_not_changed() throws Exception {
        People.bringIn(orla, "id\n1\n");
        People.bringIn(orla, "id,person_id,kind,on,text,source\nr1,1,result,2026-01-02,Kalium,clinic\n");
        JsonNode other =
                People.bringIn(orla, "id,person_id,kind,on,text,value,source\nr1,1,result,2026-01-03,KALIUM,4.2,lab\n");
        assertThat(other.at("/taken/events/changed").asInt()).isEqualTo(1);
        assertThat(other.at("/taken/otherwise").asInt()).isEqualTo(1);
        assertThat(otherwise()).containsExactly(List.of("1", "r1", "on", "2026-01-02", "clinic", "2026-01-03", "lab"));
        assertThat(orla.get("/api/people/1").text()).contains("4.2").doesNotContain("2026-01-03");

        JsonNode own = People.bringIn(orla, "id,person_id,kind,on,text,source\nr1,1,result,2026-01-03,Kalium,clinic\n");
        assertThat(own.at("/taken/events/changed").asInt()).isEqualTo(1);
        assertThat(otherwise()).isEmpty();
    }
}
