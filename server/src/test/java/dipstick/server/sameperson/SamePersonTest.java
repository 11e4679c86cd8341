package dipstick.server.sameperson;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.Desks;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class SamePersonTest {
    private static final String PEOPLE = """
            id,family_name,given_name,birth_date,sex,mobile,email,do_not_contact
            A-1,Quillfeather,Odalys,1950-02-03,female,0550 0117171,,no
            B-2,Quilfeather,Odalys,1950-02-03,,,odalys@example.org,
            C-3,Marl,Ida,1951-02-03,female,,,
            D-4,Marl,Tom,1951-02-03,male,,,
            """;
    private static final String EVENTS = """
            id,person_id,kind,code,text,on
            e1,A-1,visit,V1,Check,2020-05-04
            e2,B-2,visit,V1,Check,2021-06-05
            ,A-1,result,K1,Potassium,2020-05-04
            ,B-2,result,K1,Potassium,2020-05-04
            ,B-2,result,K1,Potassium,2022-07-06
            """;
    /** Whoever is on the roster by number, and was not seen for a year. */
    private static final String SET = """
            {"format": "dipstick-criteria/1", "id": "%s", "name": "%s", "population": "living",
             "rosters": [{"id": "r", "name": "By number", "key": ["id"], "rows": [%s]}],
             "include": [{"id": "in", "test": {"roster": "r"}}],
             "shouldHave": {"rule": "any", "of": [{"id": "check", "test": {"events": {"kinds": ["visit"],
                 "window": {"last": "P12M"}}}}]}}""";

    private static RunningServer server;
    private static Visitor orla;
    private static Visitor tam;
    private static int tests;

    /** Before each number, id and name of a set, so that no test meets the people of another. */
    private String mark;

    @BeforeAll
    static void start(@TempDir Path data) throws Exception {
        server = RunningServer.over(data, SetClock.onThe(LocalDate.of(2026, 11, 27)));
        orla = server.signedIn("orla", Role.COORDINATOR);
        tam = server.signedIn("tam", Role.CALLER);
    }

    @BeforeEach
    void begin() throws Exception {
        mark = "t" + ++tests;
        People.bringIn(orla, of(PEOPLE));
        People.bringIn(orla, of(EVENTS));
        People.publish(orla, mark + "-both", of(SET.formatted("mark-both", "Both", "[\"A-1\"], [\"B-2\"], [\"D-4\"]")));
        People.publish(orla, mark + "-second", of(SET.formatted("mark-second", "Second", "[\"B-2\"]")));
    }

    @AfterAll
    static void stop() {
        server.stop();
    }

    /** With the numbers of this test, and birth dates that nobody of another test has. */
    private String of(String text) {
        return text.replaceAll("\\b([A-DZ]-\\d)\\b", mark + "$1")
                .replaceAll("(?m)^e(\\d),", mark + "e$1,")
                .replace("mark-", mark + "-")
                .replace("1950-", 1930 + tests + "-")
                .replace("1951-", 1960 + tests + "-");
    }

    private String without(String text) {
        return text.replace(mark, "");
    }

    private JsonNode all() throws Exception {
        return JsonMapper.shared().readTree(without(orla.get("/api/same-person").text()));
    }

    private List<String> offered() throws Exception {
        return all().get("pairs")
                .valueStream()
                .map(pair -> pair.at("/one/id").asString() + "+"
                        + pair.at("/other/id").asString())
                .filter(pair -> pair.matches("[A-D]-\\d\\+[A-D]-\\d"))
                .toList();
    }

    private Reply join(String person, String other) throws Exception {
        return orla.post(
                "/api/same-person/joined", of("{\"person\": \"" + person + "\", \"other\": \"" + other + "\"}"));
    }

    private Reply undo(String other) throws Exception {
        long id = all().get("joined")
                .valueStream()
                .filter(one -> one.get("other").asString().equals(other))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
        return orla.delete("/api/same-person/joined/" + id);
    }

    private JsonNode page(String person) throws Exception {
        Reply page = orla.get(of("/api/people/" + person));
        assertThat(page.status()).as(page.text()).isEqualTo(200);
        return JsonMapper.shared().readTree(without(page.text()));
    }

    /** What is on file of somebody and their records, as a page shows it, without how old they are. */
    private String onFile(String person) throws Exception {
        JsonNode view = page(person);
        return view.get("person").get("id").asString() + " " + view.get("details") + " "
                + view.get("records")
                        .valueStream()
                        .map(record -> record.get("text").asString() + " "
                                + record.get("when").asString())
                        .sorted()
                        .toList();
    }

    private List<String> onList(String set) throws Exception {
        return JsonMapper.shared()
                .readTree(without(
                        orla.get("/api/lists/" + mark + "-" + set + "/desk").text()))
                .get("rows")
                .valueStream()
                .map(row ->
                        row.at("/person/id").asString() + " " + row.get("state").asString())
                .sorted()
                .toList();
    }

    @Test
    void a_pair_says_what_speaks_for_it_and_where_the_two_agree_and_differ() throws Exception {
        assertThat(offered()).containsExactly("A-1+B-2");
        JsonNode pair = all().get("pairs")
                .valueStream()
                .filter(one -> one.at("/one/id").asString().equals("A-1"))
                .findFirst()
                .orElseThrow();
        assertThat(pair.at("/why/0").asString()).isEqualTo("Born on the same day, with nearly the same name.");
        assertThat(pair.at("/one/records").asInt()).isEqualTo(2);
        assertThat(pair.at("/other/lastRecord").asString()).isEqualTo("6 Jul 2022");
        assertThat(pair.get("fields")
                        .valueStream()
                        .map(field -> field.get("field").asString() + ": "
                                + field.get("one").asString()
                                + (field.get("agrees").asBoolean() ? " = " : " / ")
                                + field.get("other").asString()))
                .contains(
                        "family name: Quillfeather / Quilfeather",
                        "given name: Odalys = Odalys",
                        "do not contact: no / ",
                        "sex: female / ",
                        "email:  / odalys@example.org")
                .as("days in words")
                .anyMatch(one -> one.matches("birth date: (3 Feb \\d{4}) = \\1"));
        assertThat(server.signedIn("mona", Role.MANAGER)
                        .get("/api/audit?act=PEOPLE_COMPARED")
                        .text())
                .contains(of("A-1, B-2"));
    }

    @Test
    void joining_has_records_attempts_and_places_follow_and_undoing_gives_them_back() throws Exception {
        String before = onFile("A-1");

        Desks second = new Desks(tam, mark + "-second");
        second.does("ATTEMPT", of("B-2"), "outcome", "\"no-answer\"");
        orla.post("/api/lists/" + mark + "-second/readings", "");
        String otherBefore = onFile("B-2");
        assertThat(onList("both")).containsExactly("A-1 TO_CONTACT", "B-2 TO_CONTACT", "D-4 TO_CONTACT");

        assertThat(join("A-1", "B-2").status()).isEqualTo(204);

        assertThat(onFile("A-1")).contains("odalys@example.org", "Quillfeather", "Check 5 Jun 2021");
        assertThat(onFile("A-1")).as("what both have word for word is one").containsOnlyOnce("Potassium 4 May 2020");
        assertThat(orla.get(of("/api/lists/") + mark + of("-second/people/B-2"))
                        .json()
                        .at("/person/id")
                        .asString())
                .isEqualTo(of("A-1"));
        assertThat(onFile("B-2")).as("by either number").isEqualTo(onFile("A-1"));
        assertThat(orla.get(of("/api/people?find=B-2"))
                        .json()
                        .at("/people/0/id")
                        .asString())
                .isEqualTo(of("A-1"));
        assertThat(onList("both")).containsExactly("A-1 TO_CONTACT", "D-4 TO_CONTACT");
        assertThat(onList("second")).containsExactly("A-1 IN_PROGRESS");
        assertThat(second.log(of("A-1"))).anyMatch(act -> act.contains("No answer"));
        assertThat(orla.get(of("/api/people/B-2/log")).text()).contains("No answer");
        assertThat(orla.get("/api/lists/" + mark + "-second/desk").text())
                .as("whoever goes on under another number did not leave, and nobody joined")
                .doesNotContain("Is not on file any more", "New on file");
        assertThat(offered()).isEmpty();

        second.does("NOTE", of("A-1"), "words", "\"said since\"");
        assertThat(undo("B-2").status()).isEqualTo(204);

        assertThat(onFile("A-1")).isEqualTo(before);
        assertThat(onFile("B-2")).isEqualTo(otherBefore);
        assertThat(onList("both")).containsExactly("A-1 TO_CONTACT", "B-2 TO_CONTACT", "D-4 TO_CONTACT");
        assertThat(onList("second")).containsExactly("B-2 IN_PROGRESS");
        assertThat(second.log(of("B-2"))).anyMatch(act -> act.contains("No answer"));
        assertThat(offered()).containsExactly("A-1+B-2");
        assertThat(all().get("joined").toString()).doesNotContain("\"other\":\"B-2\"");
    }

    @Test
    void later_files_find_them_by_either_number_and_what_came_by_the_other_goes_back_with_it() throws Exception {
        join("A-1", "B-2");
        JsonNode again = People.bringInEverybody(orla, of(PEOPLE));
        assertThat(again.at("/taken/people/changed").asInt()).isZero();
        assertThat(onFile("A-1")).as("both rows name them").contains("odalys@example.org");
        JsonNode events = People.bringIn(
                orla, of(EVENTS + "e9,B-2,visit,V1,Check,2026-11-20\n,B-2,result,K1,Potassium,2026-11-21\n"));
        assertThat(events.at("/taken/events/added").asInt()).isEqualTo(2);
        assertThat(events.at("/taken/events/changed").asInt()).isZero();
        assertThat(events.at("/taken/unknownPeople").asInt()).isZero();
        assertThat(onFile("A-1")).contains("Check 20 Nov 2026");
        assertThat(onList("second")).as("seen by now").containsExactly("A-1 DONE");

        undo("B-2");
        assertThat(onFile("A-1")).doesNotContain("20 Nov 2026", "21 Nov 2026");
        assertThat(onFile("B-2")).contains("Check 20 Nov 2026", "Potassium 21 Nov 2026", "Potassium 4 May 2020");
        JsonNode once = People.bringIn(orla, of(EVENTS));
        assertThat(once.at("/taken/events/added").asInt()
                        + once.at("/taken/events/changed").asInt())
                .as("every record is known where it is")
                .isZero();
    }

    @Test
    void a_criterion_on_the_number_means_whoever_goes_on_under_another_and_one_on_a_records_number_does_not()
            throws Exception {
        String named = """
                {"format": "dipstick-criteria/1", "id": "mark-named", "name": "Named", "population": "living",
                 "include": [{"id": "in", "test": {"any": [{"field": "id", "in": [" B-2 ", "D-4"]},
                    {"events": {"kinds": ["visit"], "where": [{"field": "id", "in": ["B-2"]}], "window": {"ever": true}}}]}}],
                 "exclude": [{"id": "not", "test": {"field": "id", "notIn": ["A-1", "B-2"]}}]}""";
        People.publish(orla, mark + "-named", of(named));
        assertThat(onList("named")).containsExactly("B-2 TO_CONTACT");
        join("A-1", "B-2");
        assertThat(onList("named")).containsExactly("A-1 TO_CONTACT");
        undo("B-2");
        assertThat(onList("named")).containsExactly("B-2 TO_CONTACT");
    }

    @Test
    void whoever_asked_not_to_be_contacted_under_one_number_did_so_under_both() throws Exception {
        People.bringIn(orla, of("id,do_not_contact\nB-2,yes\n"));
        join("A-1", "B-2");
        assertThat(page("A-1").at("/person/doNotContact").asBoolean()).isTrue();
        undo("B-2");
        assertThat(page("A-1").at("/person/doNotContact").asBoolean()).isFalse();
    }

    @Test
    void three_numbers_of_one_person_are_joined_one_after_another_and_parted_the_other_way_round() throws Exception {
        join("B-2", "A-1");
        join("C-3", "B-2");
        assertThat(onFile("A-1")).startsWith("C-3 ");
        People.bringIn(orla, of("id,person_id,kind,on\ne7,A-1,visit,2026-01-02\n"));
        assertThat(onFile("C-3")).contains("2 Jan 2026");
        Reply early = undo("A-1");
        assertThat(early.status()).isEqualTo(409);
        assertThat(early.json().get("detail").asString()).contains("joined to " + of("C-3"));
        undo("B-2");
        assertThat(onFile("B-2")).contains("2 Jan 2026");
        undo("A-1");
        assertThat(onFile("A-1")).contains("2 Jan 2026");
        assertThat(onFile("B-2")).doesNotContain("2 Jan 2026");
        assertThat(onFile("C-3")).doesNotContain("Check");
    }

    @Test
    void two_people_are_not_offered_again_until_that_is_undone() throws Exception {
        String two = of("{\"one\": \"B-2\", \"other\": \"A-1\"}");
        assertThat(orla.post("/api/same-person/apart", two).status()).isEqualTo(204);
        assertThat(orla.post("/api/same-person/apart", two).status()).isEqualTo(204);
        assertThat(offered()).isEmpty();
        assertThat(all().get("apart").toString()).containsOnlyOnce("\"other\":\"B-2\"");
        People.bringIn(orla, of("id,given_name\nA-1,Odalys May\n"));
        assertThat(offered()).isEmpty();
        String address = "/api/same-person/apart/" + all().at("/apart/0/id").asLong();
        assertThat(orla.delete(address).status()).isEqualTo(204);
        assertThat(orla.delete(address).status()).isEqualTo(404);
        assertThat(offered()).containsExactly("A-1+B-2");
    }

    @Test
    void any_two_can_be_looked_at_and_joined_and_nobody_with_themselves_or_twice() throws Exception {
        assertThat(orla.get(of("/api/same-person/pair?one=C-3&other=D-4"))
                        .json()
                        .at("/other/name")
                        .asString())
                .isEqualTo("Marl, Tom");
        assertThat(orla.get(of("/api/same-person/pair?one=C-3&other=Z-9")).status())
                .isEqualTo(404);
        assertThat(join("C-3", "C-3").status()).isEqualTo(422);
        assertThat(join("C-3", "Z-9").status()).isEqualTo(404);
        List<Callable<Integer>> both = new ArrayList<>();
        both.add(() -> join("C-3", "D-4").status());
        both.add(() -> join("D-4", "C-3").status());
        List<Integer> answers = new ArrayList<>();
        try (ExecutorService atOnce = Executors.newFixedThreadPool(2)) {
            for (var answer : atOnce.invokeAll(both)) {
                answers.add(answer.get());
            }
        }
        assertThat(answers).containsOnlyOnce(204);
        assertThat(undo(all().at("/joined/0/other").asString()).status()).isEqualTo(204);
    }

    @Test
    void a_delivery_can_be_taken_back_though_somebody_of_it_was_joined_since() throws Exception {
        JsonNode overview = orla.get("/api/records").json();
        long events = overview.at("/imports/0/id").asLong();
        long people = overview.at("/imports/1/id").asLong();
        join("A-1", "B-2");
        assertThat(orla.post("/api/deliveries/taken/" + events + "/taking-back", "{}")
                        .status())
                .isEqualTo(200);
        assertThat(page("A-1").get("records").size())
                .as("all of them are of that file")
                .isZero();
        orla.post("/api/deliveries/taken/" + people + "/taking-back", "{}");
        assertThat(orla.get(of("/api/people/C-3")).status()).isEqualTo(404);
        assertThat(onFile("A-1")).as("was changed by the joining, and stays").contains("Quillfeather");
    }

    @Test
    void two_who_are_one_by_what_a_source_says_are_offered() throws Exception {
        String merge = of("MSH|^~\\&|HIS|H|||20260302||ADT^A40|1|P|2.5\rPID|1||C-3||Marl^Ida\rMRG|D-4\r");
        JsonNode tried = orla.post("/api/deliveries?name=merge.hl7", merge.getBytes(StandardCharsets.UTF_8))
                .json();
        String address = "/api/deliveries/" + tried.get("id").asString();
        while (!orla.get(address).json().get("stage").asString().equals("TAKEN")) {
            if (orla.get(address).json().get("stage").asString().equals("TRIED")) {
                orla.post(address + "/take", "");
            }
            Thread.sleep(20);
        }
        assertThat(offered()).contains("C-3+D-4");
        assertThat(all().at("/pairs/0/why/0").asString()).isEqualTo("merge says so.");
    }
}
