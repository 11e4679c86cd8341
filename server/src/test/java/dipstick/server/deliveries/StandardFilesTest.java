package dipstick.server.deliveries;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Files of open standards: whom they mean, this week and the next. */
class StandardFilesTest {
    private static final String ADA = """
            {"resourceType":"Patient","id":"p1","identifier":[{"value":"0012"}],"name":[{"family":"Marl"}]}
            """;

    private static final String VISIT = """
            {"resourceType":"Encounter","id":"%s","status":"finished","subject":{"reference":"Patient/%s"},\
            "period":{"start":"2026-05-04"}}
            """;

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
    void a_bulk_export_in_several_files_and_next_week_only_what_is_new() throws Exception {
        JsonNode tried = sent.file(
                "export.zip",
                zip(Map.of(
                        "Encounter.ndjson", VISIT.formatted("v1", "p1"), "Patient.ndjson", ADA, "Device.ndjson", """
                        {"resourceType":"Device","id":"d"}
                        """)));
        assertThat(tried.get("stage").asString()).as(tried.toString()).isEqualTo("TRIED");
        assertThat(tried.at("/trial/badRows").asInt())
                .as("what is passed over is no bad row")
                .isZero();
        assertThat(tried.at("/trial/troubles/0/first/0/said").asString())
                .isEqualTo("Device, of which no record is made.");
        assertThat(Sent.counts(sent.take(tried).get("taken")))
                .isEqualTo("people 1 new 0 changed, events 1 new 0 changed");
        assertThat(sent.person("0012")).containsEntry("family name", "Marl");

        JsonNode next = sent.file("Encounter 2.ndjson", VISIT.formatted("v1", "p1") + VISIT.formatted("v2", "p1"));
        assertThat(next.at("/found/known").asBoolean()).as("by its format").isTrue();
        assertThat(Sent.counts(next.at("/trial/brought"))).isEqualTo("people 0 new 0 changed, events 1 new 0 changed");
        assertThat(next.at("/trial/brought/unknownPeople").asInt())
                .as("the id of last week's export still means her")
                .isZero();
    }

    @Test
    void what_a_delivery_said_of_numbers_is_taken_back_with_it() throws Exception {
        JsonNode taken = sent.take(sent.file("export.ndjson", ADA));
        assertThat(sent.file("visits.ndjson", VISIT.formatted("v", "p1"))
                        .at("/trial/brought/unknownPeople")
                        .asInt())
                .isZero();
        orla.post("/api/deliveries/taken/" + taken.get("delivery").asLong() + "/taking-back", "{}");

        assertThat(sent.file("visits.ndjson", VISIT.formatted("v", "p1"))
                        .at("/trial/brought/unknownPeople")
                        .asInt())
                .isOne();
    }

    @Test
    void people_who_are_one_by_a_message_are_told_and_whoever_is_not_on_file_is_found_by_either_number()
            throws Exception {
        String merge = """
                MSH|^~\\&|HIS|H|||20260302||ADT^A40|1|P|2.5\rPID|1||0012||Marl^Ada\rMRG|%s\r""";
        People.bringIn(orla, "id,family_name\n0012,Marl\n0007,Marl\n");

        JsonNode told = sent.file("merge.hl7", merge.formatted("0007"));
        assertThat(told.at("/trial/strange/0").asString())
                .isEqualTo(
                        "The file says that 0007 is 0012. Both are on file and stay so; what either has is not joined.");

        sent.take(sent.file("merge.hl7", merge.formatted("0003")));
        JsonNode later = sent.file("lab.csv", "Patient ID,Test,Result,Date\n0003,Sugar,7,2026-03-04\n");
        assertThat(later.at("/trial/brought/unknownPeople").asInt())
                .as("by any source")
                .isZero();
    }

    private static byte[] zip(Map<String, String> files) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
            }
        }
        return bytes.toByteArray();
    }
}
