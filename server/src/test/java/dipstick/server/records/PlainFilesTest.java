package dipstick.server.records;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.core.export.FieldCell;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.practice.Today;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Files in our own columns, from when they are sent until their records are shown. */
class PlainFilesTest {
    private static RunningServer server;
    private static Visitor coordinator;

    @BeforeAll
    static void start() throws Exception {
        server = RunningServer.shared();
        coordinator = People.coordinator();
    }

    @Test
    void a_newer_file_replaces_what_it_names_and_says_so() throws Exception {
        take("id,family_name,phone,frailty:number\nn1,Marl,01632 960001,3\nn2,Vask,01632 960002,\n");
        JsonNode taken = take("id,family_name,frailty\nn1,Marl,4\nn2,Vask,\nn3,\"Ann, <script>alert(1)</script>\",\n");

        assertThat(counts(taken)).isEqualTo("1 new, 1 changed, 1 unchanged");
        assertThat(text("n1", "phone"))
                .as("a field that the file does not speak of stays")
                .isEqualTo("01632 960001");
        assertThat(text("n3", "family_name")).isEqualTo("Ann, <script>alert(1)</script>");
    }

    @Test
    void the_same_events_twice_add_nothing_with_or_without_an_id() throws Exception {
        take("id\ne1\n");
        String events =
                "id,person_id,kind,on,value\nx1,e1,visit,2026-01-01,\n,e1,visit,2026-01-01,\n,e1,result,2026,5\n";
        assertThat(counts(take(events))).isEqualTo("3 new, 0 changed, 0 unchanged");
        assertThat(counts(take(events))).isEqualTo("0 new, 0 changed, 3 unchanged");
        assertThat(counts(take("id,person_id,kind,on\nx1,e1,visit,2026-02-02\n")))
                .isEqualTo("0 new, 1 changed, 0 unchanged");
    }

    @Test
    void a_row_that_is_too_long_to_be_kept_holds_no_other_up() throws Exception {
        String longest = "8".repeat(400);
        JsonNode taken = take("id,family_name\nlc1,Marl\n" + longest + ",Vask\n" + longest + "8,Tove\n");
        assertThat(counts(taken)).isEqualTo("2 new, 0 changed, 0 unchanged");
        assertThat(taken.at("/trial/troubles/0/reason").asString()).isEqualTo("TOO_LONG");
        assertThat(text(longest, "family_name")).isEqualTo("Vask");
        String note = "\u0001".repeat(99_000);
        assertThat(counts(take("id,person_id,kind,note\n" + longest + ",lc1,visit," + note + "\n")))
                .as("also where each letter is written as six")
                .isEqualTo("1 new, 0 changed, 0 unchanged");
    }

    @Test
    void events_keep_their_own_fields_further_codes_and_the_day_of_recording() throws Exception {
        take("id\ncf\n");
        String events = """
                id,person_id,kind,on,also_coded,room,wait:number
                cf1,cf,visit,2026-01-01,HC1|local; KF1,3,14
                cf2,cf,visit,2026-01-02,,,
                """;
        assertThat(counts(take(events))).isEqualTo("2 new, 0 changed, 0 unchanged");
        assertThat(counts(take(events)))
                .as("the day of the delivery is no change")
                .isEqualTo("0 new, 0 changed, 2 unchanged");
        assertThat(ofEvent("cf", "recorded_on")).as("no column says it").containsExactly(today(), today());

        assertThat(counts(take("id,person_id,kind,on,recorded_on\ncf1,cf,visit,2026-01-01,2026-01-05\n")))
                .isEqualTo("0 new, 1 changed, 0 unchanged");
        assertThat(counts(take(events))).as("and back").isEqualTo("0 new, 1 changed, 1 unchanged");
        assertThat(ofEvent("cf", "recorded_on"))
                .as("what was known of it stays")
                .containsExactlyInAnyOrder("2026-01-05", today());
        assertThat(ofEvent("cf", "also_coded")).containsExactlyInAnyOrder("HC1|local; KF1", "");
        assertThat(ofEvent("cf", "room")).containsExactlyInAnyOrder("3", "");
        assertThat(ofEvent("cf", "wait")).containsExactlyInAnyOrder("14", "");
    }

    private static List<String> ofEvent(String person, String field) {
        Events events = population().events();
        Column column = events.column(events.fields().find(field).orElseThrow());
        return events.of(population().find(person).orElseThrow())
                .mapToObj(event -> FieldCell.of(column, event))
                .toList();
    }

    private static String today() {
        return server.bean(Today.class).day().toString();
    }

    @Test
    void events_of_people_who_come_later_wait_for_them() throws Exception {
        JsonNode taken = take("person_id,kind\nlate,visit\nlate,visit2\n");
        assertThat(taken.at("/taken/unknownPeople").asInt()).isEqualTo(1);
        assertThat(population().find("late")).isEmpty();
        take("id\nlate\n");
        int person = population().find("late").orElseThrow();
        assertThat(population().events().of(person).count()).isEqualTo(2);
    }

    @Test
    void a_file_that_names_everybody_takes_the_others_off_file_if_that_is_wanted(@TempDir Path folder)
            throws Exception {
        RunningServer own = RunningServer.over(folder, Clock.systemUTC());
        Visitor orla = own.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, "id,family_name\na1,Marl\na2,Vask\na3,Tove\n");
        People.bringIn(orla, "id,person_id,kind,on\nae,a2,visit,2026-01-01\n");

        JsonNode kept = People.bringIn(orla, "id\na1\na3\n");
        assertThat(kept.at("/taken/gone").asInt()).isZero();

        assertThat(people(own)).containsExactlyInAnyOrder("a1", "a2", "a3");

        JsonNode slip = People.namingEverybody(orla, People.tried(orla, "id,birth_date\na1,1950\na2,1950-13-01\n"));
        assertThat(slip.at("/trial/brought/gone").asInt())
                .as("nobody goes for a slip of the pen")
                .isZero();
        assertThat(slip.at("/trial/strange/0").asString()).startsWith("Nobody goes off file");
        People.take(orla, slip);
        assertThat(people(own)).containsExactlyInAnyOrder("a1", "a2", "a3");
        JsonNode nobody = People.namingEverybody(orla, People.tried(orla, "id\n"));
        assertThat(nobody.at("/trial/brought/gone").asInt())
                .as("a file without anybody")
                .isZero();
        assertThat(orla.post(People.address(nobody) + "/take", "").status()).isEqualTo(409);

        JsonNode everybody = People.namingEverybody(orla, People.tried(orla, "id\na1\na3\na4\n"));
        assertThat(everybody.at("/trial/brought/gone").asInt())
                .as("told before")
                .isEqualTo(1);
        assertThat(People.take(orla, everybody).at("/taken/gone").asInt()).isEqualTo(1);
        assertThat(people(own)).containsExactlyInAnyOrder("a1", "a3", "a4");
        assertThat(orla.get("/api/records").json().get("waiting").asInt())
                .as("what is on record of who went is kept")
                .isEqualTo(1);
        assertThat(orla.get("/api/records").json().at("/imports/0/goneRows").asInt())
                .isEqualTo(1);

        People.bringIn(orla, "id,family_name\na2,Vask\n");
        assertThat(orla.get("/api/records").json().get("waiting").asInt()).isZero();
        own.stop();
    }

    private static List<String> people(RunningServer server) {
        Population records = server.bean(Views.class).current().population();
        return IntStream.range(0, records.size()).mapToObj(records::idOf).toList();
    }

    @Test
    void bad_lines_are_told_and_the_good_ones_are_taken_only_if_wanted() throws Exception {
        String file = "id,birth_date\ng1,1950\ng2,2026-02-31\ng1,1951\n=cmd,1990\n";
        JsonNode tried = People.tried(coordinator, file);
        assertThat(tried.at("/trial/brought/people/added").asInt()).isEqualTo(2);
        assertThat(tried.at("/trial/badRows").asInt()).isEqualTo(2);
        assertThat(tried.at("/trial/troubles/0/first/0/line").asInt()).isEqualTo(3);
        assertThat(tried.at("/trial/troubles/0/first/0/column").asString()).isEqualTo("birth_date");
        String address = People.address(tried);
        assertThat(coordinator.get(address + "/problems").text())
                .contains("3,birth_date,2026-02-31,“2026-02-31”")
                .contains("4,birth_date,");
        assertThat(population().find("g1")).isEmpty();

        assertThat(coordinator.delete(address, "*").status()).isEqualTo(204);
        assertThat(coordinator.get(address).status()).isEqualTo(404);
        assertThat(population().find("g1")).isEmpty();

        take(file);
        assertThat(population().find("g1")).isPresent();
        assertThat(population().find("=cmd")).isPresent();
        assertThat(population().find("g2")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "just words", "name\nA\n", "PK\u0003\u0004\u0000", "id\n\"x\"y\n", "id,kind\n"})
    void a_file_that_is_something_else_cannot_be_taken(String file) throws Exception {
        JsonNode tried = People.tried(coordinator, file);
        boolean failed = tried.get("stage").asString().equals("FAILED");
        assertThat(
                        failed
                                ? tried.get("reason").asString()
                                : tried.at("/trial/good").asString())
                .matches("false|.{20,}");
        assertThat(coordinator.post(People.address(tried) + "/take", "").status())
                .isEqualTo(409);
    }

    @Test
    void a_hundred_megabytes_of_one_line_are_refused() throws Exception {
        byte[] line = new byte[100_000_000];
        Arrays.fill(line, (byte) 'x');
        JsonNode tried = People.settled(coordinator, coordinator.upload(line).json());
        assertThat(tried.get("stage").asString()).isEqualTo("FAILED");
        assertThat(tried.get("reason").asString()).contains("longer than a million characters");
    }

    @Test
    void a_field_cannot_change_its_type() throws Exception {
        take("id,height:number\nt1,180\n");
        JsonNode tried = People.tried(coordinator, "id,height:date\nt1,2020\n");
        assertThat(tried.get("stage").asString()).isEqualTo("FAILED");
        assertThat(tried.get("reason").asString()).contains("height", "number");
        take("id,height\nt1,181\n");
    }

    @Test
    void who_began_with_a_view_keeps_it() throws Exception {
        View before = server.bean(Views.class).current();
        take("id\nafter-the-view\n");
        assertThat(before.population().find("after-the-view")).isEmpty();
        assertThat(server.bean(Views.class).current().version()).isGreaterThan(before.version());
        assertThat(population().find("after-the-view")).isPresent();
    }

    private static JsonNode take(String file) throws Exception {
        return People.bringIn(coordinator, file);
    }

    private static String counts(JsonNode taken) {
        return People.counts(taken);
    }

    private static Population population() {
        return server.bean(Views.class).current().population();
    }

    private static String text(String person, String field) {
        var column = (Column.OfText)
                population().column(population().personFields().find(field).orElseThrow());
        return column.writtenAt(population().find(person).orElseThrow());
    }
}
