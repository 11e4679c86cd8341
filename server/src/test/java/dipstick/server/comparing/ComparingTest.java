package dipstick.server.comparing;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Any two readings of a list, and any two lists, beside each other. */
class ComparingTest {
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    @TempDir
    Path folder;

    private SetClock clock;
    private RunningServer server;
    private Visitor orla;

    @BeforeEach
    void begin() throws Exception {
        clock = SetClock.onThe(MONDAY);
        server = RunningServer.over(folder, clock);
        orla = server.signedIn("orla", Role.COORDINATOR);
        People.bringIn(orla, """
                id,family_name,birth_date,phone,provider
                both,Marl,1950,1,Dr A
                due-apart,Vask,1950,1,Dr A
                only-here,Tove,1950,1,Dr B
                only-there,Wend,1980,1,Dr A
                neither,Ardle,2020,1,Dr A
                """);
        People.bringIn(orla, """
                id,person_id,kind,on
                e1,due-apart,hearing,2025-01-05
                e2,due-apart,kidney,2024-06-05
                e3,only-here,kidney,2026-02-01
                """);
        People.publish(orla, "hearing", set("hearing", 60));
        People.publish(orla, "kidney", set("kidney", 40));
    }

    @AfterEach
    void stop() {
        server.stop();
    }

    private static String set(String id, int age) {
        return ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': 'The " + id
                        + " list', 'include': [{'id':"
                        + " 'age', 'test': {'age': {'from': " + age
                        + "}}}], 'shouldHave': {'rule': 'any', 'of': [{'id':"
                        + " 'seen', 'test': {'events': {'kinds': ['" + id
                        + "'], 'window': {'last': 'P12M'}}}}]}, 'bands':"
                        + " [{'name': 'Never', 'when': {'overdue': 'never'}}, {'name': 'Late', 'when': {'overdue':"
                        + " {'atLeast': 'P0D'}}}]}")
                .replace('\'', '"');
    }

    private static JsonNode of(JsonNode compared, String person) {
        return compared.get("people")
                .valueStream()
                .filter(one -> one.at("/person/id").asString().equals(person))
                .findFirst()
                .orElseThrow(() -> new AssertionError(person + " is not in " + compared));
    }

    @Test
    void two_lists_say_who_is_here_and_there_and_which_fields_differ() throws Exception {
        JsonNode compared =
                orla.get("/api/lists-compared?one=hearing&other=kidney").json();
        assertThat(compared.get("one").asString()).isEqualTo("The hearing list");
        assertThat(compared.get("people")
                        .valueStream()
                        .map(one -> one.at("/person/id").asString() + " "
                                + one.get("one").asString() + " "
                                + one.get("other").asString()))
                .containsExactlyInAnyOrder("both ON ON", "due-apart ON ON", "only-here ON OFF", "only-there OFF ON");
        assertThat(of(compared, "both").get("differing")).isEmpty();
        assertThat(of(compared, "due-apart").get("differing").toString()).isEqualTo("[\"due\"]");
        assertThat(of(compared, "due-apart").get("dueOne").asString()).isEqualTo("2026-01-06");
        assertThat(of(compared, "due-apart").get("dueOther").asString()).isEqualTo("2025-06-06");
        assertThat(of(compared, "only-here").get("bandOne").asString()).isEqualTo("Never");
        assertThat(of(compared, "only-here").get("bandOther").asString()).isEmpty();
        assertThat(orla.get("/api/lists-compared?one=hearing&other=none").status())
                .isEqualTo(404);
    }

    @Test
    void any_two_readings_say_who_joined_left_and_stayed_whichever_is_named_first() throws Exception {
        long first = take("hearing");
        clock.set(MONDAY.plusWeeks(1));
        People.bringIn(orla, "id,person_id,kind,on\ne9,both,hearing,2026-03-05\n");
        long second = take("hearing");
        clock.set(MONDAY.plusWeeks(2));
        People.bringIn(orla, "id,family_name,birth_date,phone\njoins,Quill,1955,1\n");
        new Desks(orla, "hearing").does("EXCUSE", "only-here", "words", "\"in hospital\"");
        long third = take("hearing");

        assertThat(moves(first, second)).containsExactly("both ON OFF Now on record: Hearing on 5 Mar 2026.");
        assertThat(moves(second, third)).singleElement().asString().startsWith("joins OFF ON New on file: ");
        assertThat(moves(first, third)).hasSize(2);
        assertThat(moves(third, first))
                .as("the earlier one is first all the same")
                .isEqualTo(moves(first, third));
        JsonNode compared = compared(first, third);
        assertThat(of(compared, "only-here").get("was"))
                .isEqualTo(of(compared, "only-here").get("nowIs"));
        assertThat(of(compared, "only-here").get("excused").asString()).contains("in hospital");
        assertThat(of(compared, "due-apart").get("dueWas"))
                .isEqualTo(of(compared, "due-apart").get("dueIs"));

        Visitor clinician = server.signedIn("clinician", Role.CLINICIAN);
        server.signedIn("admin", Role.ADMINISTRATOR)
                .put(
                        "/api/accounts/clinician",
                        "{\"displayName\": \"C\", \"roles\": [\"CLINICIAN\"], \"provider\": \"Dr B\","
                                + " \"ownPeopleOnly\": true, \"givenListsOnly\": false, \"closed\": false, \"password\": \"\"}",
                        "\"1\"");
        clinician.signIn("clinician", "a%20long%20password");
        assertThat(clinician
                        .get("/api/lists/hearing/readings-compared?from=" + first + "&to=" + third)
                        .json()
                        .get("people")
                        .valueStream()
                        .map(one -> one.at("/person/id").asString()))
                .as("a clinician who sees own people only")
                .containsExactly("only-here");
    }

    private long take(String list) throws Exception {
        return orla.post("/api/lists/" + list + "/readings", "")
                .json()
                .get("id")
                .asLong();
    }

    private JsonNode compared(long from, long to) throws Exception {
        return orla.get("/api/lists/hearing/readings-compared?from=" + from + "&to=" + to)
                .json();
    }

    private List<String> moves(long from, long to) throws Exception {
        return compared(from, to)
                .get("people")
                .valueStream()
                .filter(one -> !one.get("was").equals(one.get("nowIs")))
                .map(one -> one.at("/person/id").asString() + " "
                        + one.get("was").asString() + " " + one.get("nowIs").asString() + " "
                        + one.get("words").asString())
                .toList();
    }
}
