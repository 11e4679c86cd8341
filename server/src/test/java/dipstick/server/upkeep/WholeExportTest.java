package dipstick.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.records.EventRecord;
import dipstick.core.records.EventsFile;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PeopleFile;
import dipstick.core.records.PersonRecord;
import dipstick.core.records.RowSink;
import dipstick.core.time.DateRange;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.database.DatabaseKey;
import dipstick.server.outreach.Desks;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Everything out in open formats, and the same practice made of it. */
class WholeExportTest {
    private static final String ODD = "=Marl, \"\"Ada\"\"\nof two lines\t; ' \\ ẞ 李 😀  ";

    @TempDir
    private Path folder;

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();
    private final PrintStream out = new PrintStream(said, true, StandardCharsets.UTF_8);

    private int command(String what, String which, String data) {
        said.reset();
        return Commands.run(
                        List.of(
                                what,
                                folder.resolve(which).toString(),
                                folder.resolve(data).toString()),
                        out,
                        out)
                .orElseThrow();
    }

    private String said() {
        return said.toString(StandardCharsets.UTF_8);
    }

    private RunningServer over(String data) {
        return RunningServer.over(folder.resolve(data), SetClock.onThe(LocalDate.of(2026, 11, 27)));
    }

    private static void fill(RunningServer server) throws Exception {
        Visitor orla = server.signedIn("orla", Role.COORDINATOR);
        Visitor tam = server.signedIn("tam", Role.CALLER);
        People.bringIn(
                orla,
                "id,family_name,birth_date,do_not_contact,height:number\np1,\"" + ODD
                        + "\",1950-02,yes,0.1\np2,Vask,,,\n");
        People.bringIn(orla, "id,person_id,kind,on,value\n,p1,visit,2020,4.125\ne1,p9,visit,2026-01-02,\n");
        People.publish(
                orla,
                "kept",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"kept\", \"name\": \"Kept “so”\", \"include\": [{\"id\": \"x\","
                        + " \"test\": {\"field\": \"family_name\", \"in\": [\"vask\"]}}]}");
        assertThat(new Desks(tam, "kept")
                        .does("NOTE", "p2", "words", "\"rings, ; often\"")
                        .status())
                .isEqualTo(200);
    }

    /** Each table's rows, as texts. */
    private static Map<String, List<String>> rows(Path data) throws Exception {
        Map<String, List<String>> all = new TreeMap<>();
        try (Connection database = DataFolder.open(data, new DatabaseKey(""));
                Statement sql = database.createStatement()) {
            List<String> tables = new ArrayList<>();
            ResultSet names =
                    sql.executeQuery("SELECT table_name FROM information_schema.tables WHERE table_schema = 'PUBLIC'"
                            + " AND table_name <> 'flyway_schema_history'");
            while (names.next()) {
                tables.add(names.getString(1));
            }
            for (String table : tables) {
                List<String> rows = new ArrayList<>();
                ResultSet found = sql.executeQuery("SELECT * FROM " + table);
                while (found.next()) {
                    StringBuilder row = new StringBuilder();
                    for (int i = 1; i <= found.getMetaData().getColumnCount(); i++) {
                        row.append(found.getString(i)).append('|');
                    }
                    rows.add(row.toString());
                }
                all.put(table, rows.stream().sorted().toList());
            }
        }
        return all;
    }

    @Test
    void what_is_exported_while_it_runs_makes_the_same_practice_again() throws Exception {
        RunningServer server = over("practice");
        fill(server);
        assertThat(command("export", "out", "practice")).as(said()).isZero();
        assertThat(command("export", "out", "practice")).isEqualTo(1);
        assertThat(said()).contains("is there already");
        server.stop();

        JsonNode about = JsonMapper.shared().readTree(folder.resolve("out/metadata.json"));
        assertThat(about.get("@context").asString()).isEqualTo("http://www.w3.org/ns/csvw");
        assertThat(about.get("tables")
                        .valueStream()
                        .map(table -> table.get("url").asString()))
                .contains("person.csv", "event.csv", "criteria_set.csv", "audit_entry.csv")
                .allSatisfy(
                        file -> assertThat(folder.resolve("out").resolve(file)).exists());
        assertThat(Files.readString(folder.resolve("out/person.csv")))
                .startsWith("\"ID\",\"FAMILY_NAME\"")
                .contains("=Marl");

        assertThat(command("import", "out", "again")).as(said()).isZero();
        assertThat(said()).contains("2 people, 2 records, 1 sets, 1 readings, 2 accounts");
        Map<String, List<String>> again = rows(folder.resolve("again"));
        // The log goes on: that everything was taken stands in it after that.
        rows(folder.resolve("practice"))
                .forEach((table, rows) -> assertThat(table.equals("AUDIT_ENTRY") ? rows : again.get(table))
                        .as(table)
                        .isEqualTo(rows));
        assertThat(again.get("PERSON").toString())
                .contains(ODD.replace("\"\"", "\"").strip());
        assertThat(leftovers("again")).contains("records.mv.db").noneMatch(name -> name.startsWith("import"));

        RunningServer started = over("again");
        Visitor tam = started.visitor().signIn("tam", "a%20long%20password");
        assertThat(new Desks(tam, "kept").log("p2")).first().asString().contains("rings, ; often");
        // What is new goes on after what was brought in.
        assertThat(new Desks(tam, "kept")
                        .does("NOTE", "p2", "words", "\"another\"")
                        .status())
                .isEqualTo(200);
        Visitor manager = started.signedIn("mona", Role.MANAGER);
        assertThat(manager.get("/api/audit/chain").json().has("broken")).isFalse();
        started.stop();
        assertThat(command("import", "out", "again")).isEqualTo(1);
        assertThat(said()).contains("is not empty");
    }

    private List<String> leftovers(String data) throws IOException {
        try (Stream<Path> files = Files.list(folder.resolve(data))) {
            return files.map(file -> file.getFileName().toString()).toList();
        }
    }

    @Test
    void what_was_changed_since_or_is_none_of_ours_is_refused_and_leaves_an_empty_folder() throws Exception {
        RunningServer server = over("practice");
        fill(server);
        server.stop();
        assertThat(command("export", "out", "practice")).isZero();
        Path people = folder.resolve("out/person.csv");
        String good = Files.readString(people);
        Map<String, String> wrong = Map.of(
                good.substring(0, good.indexOf('\n') + 1), "0 rows",
                good.replace("\"ID\"", "\"NUMBER\""), "does not fit together",
                good.replace("FALSE", "perhaps").replace("TRUE", "perhaps"), "does not fit together");
        for (Map.Entry<String, String> one : wrong.entrySet()) {
            Files.writeString(people, one.getKey());
            assertThat(command("import", "out", "fresh")).isEqualTo(1);
            assertThat(said()).contains(one.getValue(), "Nothing was brought in.");
            assertThat(leftovers("fresh")).isEmpty();
        }
        Files.delete(people);
        assertThat(command("import", "out", "fresh")).isEqualTo(1);
        assertThat(said()).contains("is missing or cannot be read");
        Files.writeString(folder.resolve("out/metadata.json"), "{\"urn:dipstick:version\": 999}");
        assertThat(command("import", "out", "fresh")).isEqualTo(1);
        assertThat(said()).contains("another Dipstick (version 999");
        assertThat(command("import", "nowhere", "fresh")).isEqualTo(1);
        assertThat(said()).contains("no folder that “dipstick export” wrote");
    }

    @Test
    void the_records_alone_are_written_as_plain_files_that_say_the_same() throws Exception {
        RunningServer server = over("practice");
        fill(server);
        assertThat(command("records", "plain", "practice")).as(said()).isZero();
        assertThat(said()).contains("people.csv and events.csv");
        assertThat(command("records", "plain", "practice")).isEqualTo(1);
        server.stop();
        assertThat(leftovers("plain")).containsExactlyInAnyOrder("people.csv", "events.csv");

        List<PersonRecord> people = new ArrayList<>();
        List<EventRecord> events = new ArrayList<>();
        try (InputStream in = Files.newInputStream(folder.resolve("plain/people.csv"))) {
            PeopleFile.open(in, ZoneOffset.UTC).forEach(RowSink.of(people::add, WholeExportTest::unexpected));
        }
        try (InputStream in = Files.newInputStream(folder.resolve("plain/events.csv"))) {
            EventsFile.open(in, ZoneOffset.UTC).forEach(RowSink.of(events::add, WholeExportTest::unexpected));
        }
        assertThat(people).extracting(PersonRecord::id).containsExactly("p1", "p2");
        assertThat(people.getFirst().values())
                .containsEntry(
                        "family_name",
                        new FieldValue.OfText(ODD.replace("\"\"", "\"").strip()))
                .containsEntry("do_not_contact", new FieldValue.OfFlag(true))
                .containsEntry("height", new FieldValue.OfNumber(0.1))
                .containsEntry(
                        "birth_date",
                        new FieldValue.OfDate(DateRange.between(LocalDate.of(1950, 2, 1), LocalDate.of(1950, 2, 28))));
        assertThat(events).extracting(EventRecord::personId).containsExactlyInAnyOrder("p1", "p9");
        assertThat(events)
                .filteredOn(event -> event.personId().equals("p1"))
                .allSatisfy(event -> assertThat(event.values())
                        .containsEntry("value", new FieldValue.OfNumber(4.125))
                        .containsEntry(
                                "on",
                                new FieldValue.OfDate(
                                        DateRange.between(LocalDate.of(2020, 1, 1), LocalDate.of(2020, 12, 31)))));

        assertThat(command("records", "none", "nowhere")).isEqualTo(1);
        assertThat(said()).contains("There is no database");
    }

    private static void unexpected(Object problem) {
        throw new AssertionError(problem);
    }
}
