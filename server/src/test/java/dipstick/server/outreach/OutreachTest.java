package dipstick.server.outreach;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import dipstick.server.outreach.excused.Excusal;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class OutreachTest {
    private final LocalDate today = LocalDate.now(ZoneId.of("Europe/Lisbon"));

    private static String set(String id, String people) {
        return ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': '" + id + " list',"
                        + "'include': [{'id': 'mine', 'test': {'field': 'id', 'startsWith': '" + people + "-'}}],"
                        + "'exclude': [{'id': 'gone', 'unsure': 'fails', 'test': {'field': 'status', 'in': ['moved away']}}],"
                        + "'shouldHave': {'rule': 'any', 'of': [{'id': 'seen', 'test': {'events': {'kinds': ['" + people
                        + " visit'], 'window': {'last': 'P12M'}}}}]}}")
                .replace('\'', '"');
    }

    private static Desks begin(Visitor coordinator, String id, String people) throws Exception {
        People.bringIn(coordinator, people);
        People.publish(coordinator, id, set(id, id));
        return new Desks(People.caller(), id);
    }

    @Test
    void a_list_lives_on_its_readings_and_keeps_what_was_done() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "living", "id,status,phone\nliving-1,,1\nliving-2,,2\nliving-3,,3\n");
        assertThat(desk.state("living-1")).isEqualTo("TO_CONTACT");
        assertThat(desk.next("living-1")).isEqualTo("CALL " + today);

        desk.does("ATTEMPT", "living-1", "outcome", "\"no-answer\"", "words", "\"rang for long\"");
        assertThat(desk.state("living-1")).isEqualTo("IN_PROGRESS");
        assertThat(desk.next("living-1")).isEqualTo("CALL " + today.plusDays(7));

        People.bringIn(coordinator, "id,person_id,kind,on\nliving-e1,living-1,living visit," + today + "\n");
        People.bringIn(coordinator, "id,status\nliving-2,moved away\n");
        assertThat(desk.state("living-1")).isEqualTo("DONE");
        assertThat(desk.row("living-1").get("why").asString()).startsWith("Now on record: ");
        assertThat(desk.state("living-2")).isEqualTo("LEFT");
        assertThat(desk.row("living-2").get("why").asString()).isEqualTo("Exempt: Status is moved away.");
        String before = desk.visitor().get("/api/lists/living/desk").text();
        coordinator.post("/api/lists/living/readings", "");
        assertThat(desk.visitor().get("/api/lists/living/desk").text())
                .as("refreshed again")
                .isEqualTo(before);

        People.bringIn(
                coordinator,
                "id,person_id,kind,on,status\nliving-e1,living-1,living visit," + today + ",entered-in-error\n");
        assertThat(desk.state("living-1")).isEqualTo("TO_CONTACT");
        assertThat(desk.log("living-1"))
                .anyMatch(line -> line.equals("ATTEMPT No answer rang for long"))
                .anyMatch(line -> line.startsWith("DONE Now on record"))
                .first()
                .asString()
                .startsWith("JOINED");
    }

    @Test
    void the_contact_plan_says_what_comes_next_and_an_undone_attempt_never_was() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "planned", "id,phone\nplanned-1,1\n");
        Reply saved = coordinator.put("/api/lists/planned/desk/manner", """
                {"plan": {"steps": [{"step": "LETTER", "afterDays": 0}, {"step": "CALL", "afterDays": 14},
                    {"step": "CALL", "afterDays": 7}, {"step": "CLOSE", "afterDays": 5}],
                    "afterReached": 10, "afterBooked": 3},
                 "hold": {"appointmentDays": 0, "reachedDays": 0, "doNotContact": true, "noWay": true}, "parts": []}""", "\"0\"");
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        assertThat(desk.next("planned-1")).isEqualTo("LETTER " + today);
        desk.does("ATTEMPT", "planned-1", "outcome", "\"sent-letter\"");
        assertThat(desk.next("planned-1")).isEqualTo("CALL " + today.plusDays(14));
        desk.does("ATTEMPT", "planned-1", "outcome", "\"left-message\"");
        assertThat(desk.next("planned-1")).isEqualTo("CALL " + today.plusDays(7));
        desk.does(
                "undone",
                "ATTEMPT",
                "planned-1",
                desk.row("planned-1").get("revision").asInt(),
                "outcome",
                "\"reached\"");
        assertThat(desk.next("planned-1")).isEqualTo("LOOK " + today.plusDays(10));
        desk.undo("undone");
        assertThat(desk.next("planned-1")).isEqualTo("CALL " + today.plusDays(7));
        desk.does("ATTEMPT", "planned-1", "outcome", "\"wrong-number\"");
        assertThat(desk.next("planned-1")).isEqualTo("CLOSE " + today.plusDays(5));
        desk.does("CLOSE", "planned-1", "words", "\"No response\"");
        assertThat(desk.state("planned-1")).isEqualTo("CLOSED");
        assertThat(Desks.refusal(desk.does("ATTEMPT", "planned-1", "outcome", "\"none-such\"")))
                .contains("no outcome");

        People.publish(
                coordinator,
                "reached-this-year",
                "{\"format\": \"dipstick-criteria/1\", \"id\": \"reached-this-year\", \"name\": \"r\", \"termSets\":"
                        + " [{\"id\": \"r\", \"name\": \"r\", \"members\": [{\"system\": \"dipstick\", \"code\":"
                        + " \"sent-letter\"}, {\"code\": \"reached\"}]}], \"include\": [{\"id\": \"mine\", \"test\":"
                        + " {\"field\": \"id\", \"startsWith\": \"planned-\"}}, {\"id\": \"r\", \"test\": {\"events\":"
                        + " {\"kinds\": [\"contact\"], \"terms\": [\"r\"], \"window\": {\"sinceStartOf\": \"year\"}},"
                        + " \"count\": {\"exactly\": 1}}}]}");
        awaitTrue(() -> onList(coordinator, "reached-this-year").equals("1"));
    }

    private static String onList(Visitor visitor, String list) {
        try {
            return visitor.get("/api/lists")
                    .json()
                    .valueStream()
                    .filter(one -> one.get("id").asString().equals(list))
                    .map(one -> one.get("on").asString())
                    .findFirst()
                    .orElse("none");
        } catch (Exception failure) {
            throw new AssertionError(failure);
        }
    }

    private static void awaitTrue(BooleanSupplier condition) throws InterruptedException {
        for (int i = 0; i < 100 && !condition.getAsBoolean(); i++) {
            Thread.sleep(50);
        }
        assertThat(condition.getAsBoolean()).isTrue();
    }

    @Test
    void two_cannot_have_the_same_person_and_what_crosses_is_told() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks one = begin(coordinator, "crossing", "id,phone\ncrossing-1,1\ncrossing-2,2\n");
        Desks other = new Desks(People.signedIn("crossing-caller", Role.CALLER), "crossing");
        int seen = other.row("crossing-1").get("revision").asInt();
        one.does("TAKE", "crossing-1");
        assertThat(Desks.refusal(other.does("TAKE", "crossing-1"))).contains("has this person in hand since");
        assertThat(Desks.refusal(other.does("ATTEMPT", "crossing-1", "outcome", "\"reached\"")))
                .contains("Nothing of yours was saved");
        one.does("ATTEMPT", "crossing-1", "outcome", "\"no-answer\"");
        one.does("LET_GO", "crossing-1");
        assertThat(Desks.refusal(other.does("late", "ATTEMPT", "crossing-1", seen, "outcome", "\"reached\"")))
                .contains("This person was gone on with meanwhile: Person ");
        assertThat(one.log("crossing-1")).noneMatch(line -> line.contains("Reached"));

        Reply first = one.does("same", "ATTEMPT", "crossing-2", 1, "outcome", "\"no-answer\"");
        Reply again = one.does("same", "ATTEMPT", "crossing-2", 1, "outcome", "\"no-answer\"");
        assertThat(again.text()).as("sent again").isEqualTo(first.text());
        Reply otherPeople = one.does("same", "ATTEMPT", "crossing-1", 1, "outcome", "\"reached\"");
        assertThat(otherPeople.text()).as("the name again, for another thing").isEqualTo(first.text());
        assertThat(one.log("crossing-1")).noneMatch(line -> line.contains("Reached"));
        assertThat(one.log("crossing-2"))
                .filteredOn(line -> line.startsWith("ATTEMPT"))
                .hasSize(1);

        new Desks(coordinator, "crossing").does("GIVE", "crossing-2", "to", "\"crossing-caller\"");
        assertThat(other.row("crossing-2").at("/inHand/mine").asBoolean()).isTrue();
        assertThat(one.undo("same").json().at("/refused").size()
                        + one.undo("same").json().at("/done").size())
                .as("given on, so it is not undone twice")
                .isLessThanOrEqualTo(1);
    }

    @Test
    void one_call_settles_all_lists_that_somebody_is_on() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "several", "id,phone\nseveral-1,1\n");
        People.publish(coordinator, "several-too", set("several-too", "several"));
        People.publishPrivately(coordinator, "several-hidden", set("several-hidden", "several"));
        Desks too = new Desks(desk.visitor(), "several-too");
        Desks hidden = new Desks(coordinator, "several-hidden");
        assertThat(desk.row("several-1").get("alsoOn").toString())
                .contains("several-too list")
                .doesNotContain("several-hidden");

        desk.does("ATTEMPT", "several-1", "outcome", "\"reached\"", "everywhere", "true");
        assertThat(too.next("several-1")).isEqualTo("LOOK " + today.plusDays(14));
        assertThat(too.row("several-1").get("heldBack").asString()).startsWith("Was reached on ");
        assertThat(hidden.next("several-1")).as("not shared with the caller").startsWith("CALL");
        assertThat(hidden.row("several-1").get("heldBack").asString()).startsWith("Was reached on ");
    }

    @Test
    void who_is_not_to_be_pestered_is_held_back_with_the_reason() throws Exception {
        Visitor coordinator = People.coordinator();
        People.bringIn(
                coordinator,
                "id,person_id,kind,on,status\nheld-e1,held-1,appointment," + today.plusDays(3)
                        + ",booked\nheld-e2,held-4," + "appointment," + today.plusDays(3) + ",cancelled\n");
        Desks desk =
                begin(coordinator, "held", "id,phone,do_not_contact\nheld-1,1,\nheld-2,2,yes\nheld-3,,\nheld-4,4,no\n");
        assertThat(desk.row("held-1").get("heldBack").asString()).startsWith("Has an appointment on record: ");
        assertThat(desk.row("held-2").get("heldBack").asString()).isEqualTo("Asked not to be contacted.");
        assertThat(desk.row("held-3").get("heldBack").asString())
                .isEqualTo("No phone, e-mail or address is on record.");
        assertThat(desk.row("held-4").has("heldBack")).isFalse();

        desk.does("CLOSE", "held-2", "words", "\"No response\"");
        assertThat(desk.row("held-2").get("heldBack").asString())
                .as("nobody writes to them from among those who are done with either")
                .isEqualTo("Asked not to be contacted.");
    }

    @Test
    void what_was_agreed_with_somebody_who_was_reached_is_not_held_back() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "agreed", "id,phone\nagreed-1,1\n");
        People.publish(coordinator, "agreed-too", set("agreed-too", "agreed"));
        Desks too = new Desks(desk.visitor(), "agreed-too");
        desk.does("ATTEMPT", "agreed-1", "outcome", "\"reached\"");
        assertThat(desk.row("agreed-1").get("heldBack").asString()).startsWith("Was reached on ");
        desk.does("PLAN", "agreed-1", "step", "\"CALL\"", "day", "\"" + today.plusDays(2) + "\"");
        assertThat(desk.next("agreed-1")).isEqualTo("CALL " + today.plusDays(2));
        assertThat(desk.row("agreed-1").has("heldBack")).isFalse();
        assertThat(too.row("agreed-1").get("heldBack").asString()).startsWith("Was reached on ");
        desk.does("ATTEMPT", "agreed-1", "outcome", "\"reached\"");
        assertThat(desk.row("agreed-1").get("heldBack").asString()).startsWith("Was reached on ");
    }

    @Test
    void somebody_is_excused_with_a_reason_for_one_list_or_all_and_comes_back() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "aside", "id,phone\naside-1,1\naside-2,2\n");
        People.publish(coordinator, "aside-too", set("aside-too", "aside"));
        Desks too = new Desks(desk.visitor(), "aside-too");
        assertThat(Desks.refusal(desk.does("EXCUSE", "aside-1"))).contains("reason");
        assertThat(Desks.refusal(
                        desk.does("EXCUSE", "aside-1", "words", "\"x\"", "day", "\"" + today.minusDays(1) + "\"")))
                .contains("over already");
        desk.does("EXCUSE", "aside-1", "words", "\"abroad\"", "day", "\"" + today + "\"");
        desk.does("EXCUSE", "aside-2", "words", "\"no longer\"", "everywhere", "true");
        assertThat(desk.row("aside-1").get("excused").asString())
                .contains("abroad")
                .contains("Person person");
        assertThat(too.row("aside-1").has("excused")).isFalse();
        assertThat(too.row("aside-2").get("excused").asString()).startsWith("From all lists for good: no longer");
        for (String kind : List.of("TAKE", "ATTEMPT", "PLAN")) {
            assertThat(Desks.refusal(too.does(
                            kind, "aside-2", "outcome", "\"reached\"", "step", "\"CALL\"", "day", "\"" + today + "\"")))
                    .as(kind)
                    .startsWith("This person is excused: From all lists for good: no longer");
        }
        too.does("BRING_BACK", "aside-2");
        assertThat(desk.row("aside-2").has("excused")).isFalse();
        assertThat(new Excusal(
                                1,
                                1,
                                "",
                                "p",
                                "r",
                                today.minusDays(9),
                                today.minusDays(1).toString(),
                                "a",
                                false)
                        .holdsOn(today))
                .as("it ends by itself")
                .isFalse();
    }

    @Test
    void the_practice_has_outcomes_of_its_own_and_two_who_change_them_are_told() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "own", "id,phone\nown-1,1\n");
        JsonNode known = coordinator.get("/api/outcomes").json();
        String seen = "\"" + known.get("revision").asInt() + "\"";
        List<String> offered = known.get("outcomes")
                .valueStream()
                .filter(one -> one.get("inUse").asBoolean())
                .map(one -> "{\"id\": " + one.get("id") + ", \"name\": " + one.get("name") + ", \"effect\": "
                        + one.get("effect") + "}")
                .toList();
        String before = "{\"outcomes\": [" + String.join(", ", offered) + "]}";
        String with = before.replace(
                "]}",
                ", {\"id\": \"spoke-to-daughter\", \"name\": \"Spoke to daughter\", \"effect\": \"NOT_REACHED\"}]}");
        Reply saved = coordinator.put("/api/outcomes", with, seen);
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        assertThat(coordinator.put("/api/outcomes", before, seen).type()).isEqualTo("urn:dipstick:changed-meanwhile");
        desk.does("ATTEMPT", "own-1", "outcome", "\"spoke-to-daughter\"");

        String now = "\"" + saved.json().get("revision").asInt() + "\"";
        assertThat(coordinator.put("/api/outcomes", before, now).status()).isEqualTo(200);
        assertThat(desk.log("own-1")).as("what was logged stays").anyMatch(line -> line.contains("Spoke to daughter"));
        assertThat(Desks.refusal(desk.does("ATTEMPT", "own-1", "outcome", "\"spoke-to-daughter\"")))
                .contains("no outcome");
    }

    @Test
    void whoever_takes_over_has_the_people_that_they_may_work_and_the_others_are_nobodys() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "handing", "id,phone\nhanding-1,1\nother-handing-1,1\n");
        People.publishPrivately(coordinator, "handing-more", set("handing-more", "other-handing"));
        Visitor goes = People.signedIn("handing-goes", Role.CALLER);
        Visitor stays = People.signedIn("handing-stays", Role.CALLER);
        People.share(
                coordinator,
                "handing-more",
                "NONE",
                "{\"kind\": \"COLLEAGUE\", \"grantee\": \"handing-goes\", \"granted\": \"WORK\"}");
        new Desks(goes, "handing").does("TAKE", "handing-1");
        new Desks(goes, "handing-more").does("TAKE", "other-handing-1");

        Reply handed = goes.post("/api/session/hand-over", "{\"to\": \"handing-stays\"}");
        assertThat(handed.json().get("words").asString())
                .endsWith("is with Person handing-stays now. But 1 person is nobody’s now:"
                        + " Person handing-stays may not work their lists.");
        assertThat(new Desks(stays, "handing")
                        .row("handing-1")
                        .at("/inHand/mine")
                        .asBoolean())
                .isTrue();
        Desks more = new Desks(coordinator, "handing-more");
        assertThat(more.row("other-handing-1").has("inHand")).isFalse();
        assertThat(more.log("other-handing-1"))
                .first()
                .isEqualTo("HANDED_OVER Person handing-stays may not work this list, so they are nobody’s");
        assertThat(stays.get("/api/today").json().at("/handedOver/0/person/id").asString())
                .isEqualTo("handing-1");
        assertThat(desk.row("handing-1").at("/inHand/name").asString()).isEqualTo("Person handing-stays");
    }

    @Test
    void what_a_colleague_does_is_told_to_the_others_within_a_second() throws Exception {
        Visitor coordinator = People.coordinator();
        Desks desk = begin(coordinator, "told", "id,phone\ntold-1,1\n");
        People.publishPrivately(coordinator, "told-hidden", set("told-hidden", "told"));
        Visitor other = People.caller();
        BlockingQueue<String> lines = new LinkedBlockingQueue<>();
        Stream<String> stream = other.stream("/api/together");
        Thread.ofVirtual()
                .start(() -> stream.filter(line -> line.startsWith("data:")).forEach(lines::add));
        assertThat(lines.poll(5, TimeUnit.SECONDS)).startsWith("data:{\"told\":");
        new Desks(coordinator, "told-hidden").does("NOTE", "told-1", "words", "\"hidden\"");
        desk.does("TAKE", "told-1");
        assertThat(lines.poll(1, TimeUnit.SECONDS))
                .isEqualTo(
                        "data:[{\"list\":\"told\",\"people\":[\"told-1\"],\"whole\":false,\"mine\":false,\"open\":false}]");
    }
}
