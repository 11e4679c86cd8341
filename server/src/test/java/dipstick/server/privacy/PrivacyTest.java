package dipstick.server.privacy;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import dipstick.server.paper.Pdf;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What somebody may ask of the practice: their report, and that they are erased. */
class PrivacyTest {
    private static final String PEOPLE = """
            id,family_name,given_name,birth_date,provider,mobile,address,wears_aid
            Q-71,Quillfeather,Odalys,1950-02-03,Dr Sand,0550 0117171,7 Heron Row,yes
            Q-712,Marl,Ida,1951-02-03,Dr Sand,0550 0117172,8 Heron Row,no
            Q-8,Rook,Ned,1952-02-03,Dr Sand,0550 0117173,9 Heron Row,no
            """;
    private static final String EVENTS = """
            id,person_id,kind,code,text,on,value,unit
            e1,Q-71,visit,V1,Foot of Quillfeather looked at,2020-05-04,4.5,cm
            e2,Q-712,visit,V1,Check,2020-05-04,,
            """;
    private static final String SET = """
            {"format": "dipstick-criteria/1", "id": "feet", "name": "Foot check", "population": "living",
             "rosters": [{"id": "known", "name": "Known to us", "key": ["family_name", "birth_date"],
                          "rows": [["Marl", "1951-02-03"], ["quillfeather", "1950-02-03"]]},
                         {"id": "ids", "name": "By number", "key": ["id"], "rows": [["Q-71"], ["Q-712"]]}],
             "include": [{"id": "adult", "test": {"age": {"from": 18}}}],
             "exclude": [{"id": "neither", "test": {"all": [{"roster": "known"}, {"roster": "ids"},
                          {"age": {"through": 17}}]}}],
             "shouldHave": {"rule": "any", "of": [{"id": "check", "test": {"events": {"kinds": ["visit"],
                 "window": {"last": "P12M"}}}}]}}""";
    /** Of Q-71 alone. */
    private static final List<String> THEIRS = List.of("Q-71", "Quillfeather", "Odalys", "0117171", "1950-02-03");

    private static final String ASKED = "{\"askedBy\": \"the person, by letter\", \"why\": \"moved abroad\"}";
    private static final String ERASURE = "{\"person\": \"Q-71\", \"asked\": " + ASKED + "}";

    @TempDir
    private Path data;

    private SetClock clock;
    private RunningServer server;
    private Visitor orla;
    private Visitor tam;

    @BeforeEach
    void begin() throws Exception {
        clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
        server = RunningServer.over(data, clock, "--dipstick.retention.off-file-days=30");
        orla = server.signedIn("orla", Role.COORDINATOR);
        tam = server.signedIn("tam", Role.CALLER);
        People.bringIn(orla, PEOPLE);
        People.bringIn(orla, EVENTS);
        People.publish(orla, "feet", SET);
        assertThat(tam.get("/api/lists/feet/desk").text()).contains("Quillfeather");
    }

    @AfterEach
    void end() {
        server.stop();
    }

    private void work() throws Exception {
        Desks desk = new Desks(tam, "feet");
        assertThat(desk.does("NOTE", "Q-71", "words", "\"Odalys likes mornings\"")
                        .status())
                .isEqualTo(200);
        assertThat(desk.does("ATTEMPT", "Q-71", "outcome", "\"no-answer\"").status())
                .isEqualTo(200);
        assertThat(desk.does("ATTEMPT", "Q-8", "outcome", "\"no-answer\"").status())
                .isEqualTo(200);
        orla.put("/api/criteria/feet", SET.replace("Foot check", "Feet"), revision("feet"));
        assertThat(orla.bytes(
                        "/api/lists/feet/out",
                        "{\"format\": \"LABELS\", \"people\": [\"Q-71\", \"Q-8\"], \"columns\": [], \"template\": \"Recall\","
                                + " \"reason\": \"x\"}"))
                .isNotEmpty();
    }

    private String revision(String set) throws Exception {
        return "\"" + orla.get("/api/criteria/" + set).json().get("revision").asInt() + "\"";
    }

    private Reply report(Visitor visitor, String person, String format) throws Exception {
        return visitor.post(
                "/api/people/" + person + "/report", "{\"format\": \"" + format + "\", \"asked\": " + ASKED + "}");
    }

    @Test
    void a_report_holds_all_that_is_held_of_one_person_and_nothing_of_another() throws Exception {
        work();
        tam.get("/api/lists/feet/people/Q-71");
        JsonNode report = report(orla, "Q-71", "JSON").json();
        assertThat(report.get("held")
                        .valueStream()
                        .map(held -> held.get("title").asString()))
                .contains(
                        "On file",
                        "Records",
                        "On lists",
                        "What was done about them",
                        "Readings of lists they were on",
                        "Rosters that name them",
                        "Entries of the audit log that name them");
        assertThat(report.toString())
                .contains(THEIRS)
                .contains("Foot of Quillfeather looked at", "4.5", "Odalys likes mornings", "no-answer", "wears_aid")
                .doesNotContain("Marl", "Q-712", "Q-8", "Rook");
        assertThat(report.get("held").valueStream())
                .allSatisfy(held -> assertThat(held.get("rows").valueStream())
                        .isNotEmpty()
                        .allSatisfy(row -> assertThat(row.size())
                                .isEqualTo(held.get("columns").size())));
        byte[] pdf = orla.bytes("/api/people/Q-71/report", "{\"format\": \"PDF\", \"asked\": " + ASKED + "}");
        assertThat(Pdf.pages(pdf).toString())
                .contains("holds of Q-71", "Odalys likes mornings", "asked for by the person, by letter: moved abroad");
        assertThat(Pdf.inaccessible(pdf)).isEmpty();
        Visitor manager = server.signedIn("mona", Role.MANAGER);
        assertThat(manager.get("/api/audit?act=PERSON_REPORTED").text()).contains("Q-71, asked for by the person");
    }

    @Test
    void a_list_that_is_private_to_a_colleague_is_not_named_in_a_report() throws Exception {
        Visitor other = server.signedIn("other", Role.COORDINATOR);
        People.publishPrivately(other, "hidden-cause", SET.replace("\"feet\"", "\"hidden-cause\""));
        other.post("/api/lists/hidden-cause/readings", "");
        assertThat(report(orla, "Q-71", "JSON").text())
                .contains("(private to a colleague)")
                .doesNotContain("hidden-cause");
        assertThat(report(other, "Q-71", "JSON").text()).contains("hidden-cause");
    }

    @Test
    void after_an_erasure_nothing_names_them_anywhere_and_the_counts_are_as_they_were() throws Exception {
        work();
        String before = counts();
        assertThat(findings()).isNotEmpty();
        assertThat(orla.post("/api/people/Q-71/erasure", ERASURE.replace("Q-71", "Q-8"))
                        .type())
                .isEqualTo("urn:dipstick:another-person");
        assertThat(orla.post("/api/people/Q-71/erasure", "{\"person\": \"Q-71\", \"asked\": {\"askedBy\": \"\"}}")
                        .status())
                .isEqualTo(422);
        assertThat(orla.get("/api/people/Q-71").status()).isEqualTo(200);

        assertThat(orla.post("/api/people/Q-71/erasure", ERASURE).status()).isEqualTo(204);
        assertThat(findings()).isEmpty();
        assertThat(counts()).isEqualTo(before);
        for (Reply gone : List.of(
                orla.get("/api/people/Q-71"),
                report(orla, "Q-71", "JSON"),
                orla.post("/api/people/Q-71/erasure", ERASURE))) {
            assertThat(gone.status()).as(gone.text()).isEqualTo(404);
        }
        assertThat(orla.get("/api/people?find=Quill").json().get("total").asInt())
                .isZero();
        // The others are as they were, in the rosters too, and the list is read anew without a hole.
        assertThat(orla.get("/api/criteria/feet").text()).contains("Marl", "Q-712");
        assertThat(new Desks(tam, "feet").state("Q-8")).isEqualTo("IN_PROGRESS");
        assertThat(orla.get("/api/lists/feet/desk").status()).isEqualTo(200);
        assertThat(orla.get("/api/lists/feet/readings").status()).isEqualTo(200);
        Visitor manager = server.signedIn("mona", Role.MANAGER);
        assertThat(manager.get("/api/audit?act=PERSON_ERASED").text())
                .contains("asked for by the person, by letter: moved abroad")
                .doesNotContain("Q-71,");
    }

    /** Readings as they were taken, and attempts by outcome, which no erasure changes. */
    private String counts() throws Exception {
        StringBuilder counts = new StringBuilder();
        try (Connection database = server.bean(DataSource.class).getConnection();
                Statement sql = database.createStatement()) {
            for (String count : List.of(
                    "SELECT COUNT(*) FROM reading_member WHERE reading = 1",
                    "SELECT COUNT(*) FROM outreach_act WHERE kind = 'ATTEMPT' AND NOT undone",
                    "SELECT COUNT(*) FROM list_entry")) {
                ResultSet row = sql.executeQuery(count);
                row.next();
                counts.append(row.getString(1)).append("; ");
            }
        }
        return counts.toString();
    }

    /** Where the database says something of theirs; the audit log is kept as it is. */
    private List<String> findings() throws Exception {
        List<String> found = new ArrayList<>();
        try (Connection database = server.bean(DataSource.class).getConnection();
                Statement sql = database.createStatement()) {
            List<String[]> columns = new ArrayList<>();
            ResultSet all = sql.executeQuery(
                    "SELECT table_name, column_name FROM information_schema.columns"
                            + " WHERE table_schema = 'PUBLIC' AND data_type LIKE 'CHARACTER%' AND table_name NOT IN ('AUDIT_ENTRY', 'flyway_schema_history')");
            while (all.next()) {
                columns.add(new String[] {all.getString(1), all.getString(2)});
            }
            for (String[] column : columns) {
                for (String theirs : THEIRS) {
                    ResultSet rows = sql.executeQuery("SELECT " + column[1] + " FROM " + column[0]
                            + " WHERE REGEXP_LIKE(" + column[1] + ", '" + theirs + "(?![0-9])', 'i')");
                    while (rows.next()) {
                        found.add(column[0] + "." + column[1] + ": " + rows.getString(1));
                    }
                }
            }
        }
        return found;
    }

    @Test
    void a_file_that_names_them_still_is_read_without_them_until_they_are_let_in_again() throws Exception {
        orla.post("/api/people/Q-71/erasure", ERASURE);
        JsonNode people = People.bringIn(orla, PEOPLE);
        assertThat(people.at("/taken/erased").asInt()).isEqualTo(1);
        assertThat(people.at("/taken/people/unchanged").asInt()).isEqualTo(2);
        assertThat(people.at("/trial/badRows").asInt()).isZero();
        assertThat(People.bringIn(orla, EVENTS).at("/taken/erased").asInt()).isEqualTo(1);
        assertThat(findings()).isEmpty();
        // It may still be said that it names everybody: nobody goes for it who is on file.
        assertThat(People.bringInEverybody(orla, PEOPLE).at("/taken/gone").asInt())
                .isZero();

        JsonNode kept = orla.get("/api/erasures").json().get(0);
        assertThat(kept.get("keptOut").asBoolean()).isTrue();
        assertThat(kept.get("askedBy").asString()).isEqualTo("the person, by letter");
        String address = "/api/erasures/" + kept.get("id").asInt() + "/kept-out";
        assertThat(orla.delete(address).status()).isEqualTo(204);
        assertThat(orla.delete(address).status()).isEqualTo(404);
        assertThat(People.bringIn(orla, PEOPLE).at("/taken/people/added").asInt())
                .isEqualTo(1);
        assertThat(orla.get("/api/people/Q-71").status()).isEqualTo(200);
        // What was done about them before does not come back.
        assertThat(orla.get("/api/people/Q-71/log").text()).doesNotContain("mornings");
    }

    @Test
    void whoever_is_erased_goes_with_every_number_that_was_joined_to_theirs() throws Exception {
        work();
        assertThat(orla.post("/api/same-person/joined", "{\"person\": \"Q-8\", \"other\": \"Q-71\"}")
                        .status())
                .isEqualTo(204);
        assertThat(report(orla, "Q-8", "JSON").text())
                .as("what was on file under the other number is theirs")
                .contains("Quillfeather", "Odalys likes mornings");

        assertThat(orla.post("/api/people/Q-8/erasure", ERASURE.replace("Q-71", "Q-8"))
                        .status())
                .isEqualTo(204);
        // A row that names them by name alone is told by what is on file, which is another name by now.
        assertThat(findings())
                .allSatisfy(found -> assertThat(found).startsWith("CRITERIA_").doesNotContain("\"Q-71\""));
        JsonNode people = People.bringIn(orla, PEOPLE);
        assertThat(people.at("/taken/erased").asInt()).isEqualTo(2);
        assertThat(People.bringIn(orla, EVENTS).at("/taken/erased").asInt()).isEqualTo(1);
    }

    @Test
    void a_number_that_leads_to_somebody_on_file_is_not_somebody_off_file() throws Exception {
        work();
        orla.post("/api/same-person/joined", "{\"person\": \"Q-8\", \"other\": \"Q-71\"}");
        Retention nightly = server.bean(Retention.class);
        nightly.everyNight();
        clock.set(clock.instant().plus(Duration.ofDays(60)));
        nightly.everyNight();
        assertThat(orla.get("/api/erasures").json().size()).isZero();
        assertThat(orla.get("/api/people/Q-71").json().at("/person/id").asString())
                .isEqualTo("Q-8");
    }

    @Test
    void only_a_coordinator_asks_for_either_and_one_who_sees_own_people_only_for_those() throws Exception {
        for (Role role : List.of(Role.CALLER, Role.CLINICIAN, Role.MANAGER, Role.ADMINISTRATOR)) {
            Visitor visitor = server.signedIn("as-" + role.name().toLowerCase(Locale.ROOT), role);
            assertThat(report(visitor, "Q-71", "JSON").status()).isEqualTo(403);
            assertThat(visitor.post("/api/people/Q-71/erasure", ERASURE).status())
                    .isEqualTo(403);
            assertThat(visitor.get("/api/erasures").status()).isEqualTo(403);
        }
        Visitor administrator = server.signedIn("adm", Role.ADMINISTRATOR);
        administrator.put("/api/accounts/own", """
                {"displayName": "Own", "roles": ["COORDINATOR"], "provider": "Dr Other", "ownPeopleOnly": true,
                 "givenListsOnly": false, "closed": false, "password": "some long words here"}""", "\"0\"");
        Visitor own = server.visitor().signIn("own", "some%20long%20words%20here");
        assertThat(report(own, "Q-71", "JSON").status()).isEqualTo(404);
        assertThat(own.post("/api/people/Q-71/erasure", ERASURE).status()).isEqualTo(404);
        assertThat(report(orla, "Q-7", "JSON").status()).isEqualTo(404);
        assertThat(report(orla, "orla", "JSON").status()).isEqualTo(404);
    }

    @Test
    void whoever_is_off_file_as_long_as_the_rule_says_is_erased_and_nobody_else() throws Exception {
        work();
        People.bringInEverybody(
                orla, PEOPLE.lines().filter(line -> !line.startsWith("Q-71,")).reduce("", (a, b) -> a + b + "\n"));
        Retention nightly = server.bean(Retention.class);
        nightly.everyNight();
        assertThat(findings()).isNotEmpty();
        clock.set(clock.instant().plus(Duration.ofDays(29)));
        nightly.everyNight();
        assertThat(findings()).isNotEmpty();
        clock.set(clock.instant().plus(Duration.ofDays(1)));
        nightly.everyNight();
        // A row that names them by name alone is told by what is on file, which is gone.
        assertThat(findings())
                .allSatisfy(found -> assertThat(found).startsWith("CRITERIA_").doesNotContain("\"Q-71\""));
        assertThat(orla.get("/api/erasures").json().size()).isEqualTo(1);
        assertThat(orla.get("/api/people/Q-712").status()).isEqualTo(200);
        nightly.everyNight();
        clock.set(clock.instant().plus(Duration.ofDays(60)));
        nightly.everyNight();
        assertThat(orla.get("/api/erasures").json().size()).isEqualTo(1);
    }
}
