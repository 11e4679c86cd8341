package dipstick.server.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class SharingTest {
    private static String set(String id) {
        return ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': '" + id + "', 'include': [{'id': 'mine',"
                        + " 'test': {'field': 'id', 'startsWith': '" + id + "-'}}]}")
                .replace('\'', '"');
    }

    /** What everybody may do, who somebody is, and what they then may. */
    @ParameterizedTest
    @CsvSource({
        "NONE, COORDINATOR, NONE",
        "NONE, MANAGER, NONE",
        "VIEW, COORDINATOR, VIEW",
        "VIEW, CALLER, VIEW",
        "WORK, CALLER, WORK",
        "WORK, CLINICIAN, WORK",
        "WORK, MANAGER, VIEW",
        "WORK, ADMINISTRATOR, NONE",
        "CHANGE, CALLER, WORK",
        "CHANGE, COORDINATOR, CHANGE",
        "CHANGE, MANAGER, VIEW",
    })
    void a_list_is_seen_worked_and_changed_as_it_is_shared_and_never_beyond_ones_role(
            Right everybody, Role role, Right expected) throws Exception {
        String id = "shared-" + everybody.name().toLowerCase(Locale.ROOT) + "-"
                + role.name().toLowerCase(Locale.ROOT);
        Visitor owner = People.coordinator();
        People.publishPrivately(owner, id, set(id));
        People.share(owner, id, everybody.name(), "");
        Visitor other = People.signedIn(role);

        boolean listed = other.get("/api/lists").text().contains(id);
        assertThat(listed).isEqualTo(expected.includes(Right.VIEW));
        assertThat(other.get("/api/lists/" + id + "/desk").status() == 200).isEqualTo(expected.includes(Right.VIEW));
        assertThat(other.get("/api/lists/" + id + "/readings").status() == 200)
                .isEqualTo(expected.includes(Right.VIEW));
        Reply work = other.post(
                "/api/lists/" + id + "/desk/work",
                "{\"kind\": \"TAKE\", \"batch\": \"b\", \"people\": [{\"person\": \"none\", \"revision\": 1}],"
                        + " \"outcome\": \"\", \"words\": \"\", \"step\": \"NONE\", \"day\": \"\", \"to\": \"\","
                        + " \"everywhere\": false}");
        assertThat(work.status() == 200).as(work.text()).isEqualTo(expected.includes(Right.WORK));
        assertThat(other.post("/api/lists/" + id + "/readings", "").status() == 201)
                .isEqualTo(expected.includes(Right.CHANGE));
        assertThat(other.put("/api/lists/" + id + "/reading-plan", PLAN, "\"0\"")
                                .status()
                        == 200)
                .isEqualTo(expected.includes(Right.CHANGE));
        assertThat(other.put("/api/criteria/" + id, set(id), "\"2\"").status() == 200)
                .isEqualTo(expected.includes(Right.CHANGE));
    }

    private static final String PLAN = "{\"every\": \"WEEK\", \"dayOfWeek\": \"MONDAY\", \"dayOfMonth\": 1,"
            + " \"at\": \"07:30\", \"turned\": {}}";

    @Test
    void a_private_list_is_shared_by_name_or_by_group_and_a_limited_caller_sees_only_what_is_given() throws Exception {
        Visitor owner = People.coordinator();
        Visitor administrator = People.signedIn(Role.ADMINISTRATOR);
        Visitor named = People.signedIn("shared-by-name", Role.CALLER);
        Visitor grouped = People.signedIn("shared-by-group", Role.CALLER);
        administrator.put("/api/groups/shared-group", "{\"members\": [\"shared-by-group\"]}", "\"0\"");
        People.publishPrivately(owner, "shared-some", set("shared-some"));
        People.publish(owner, "shared-all", set("shared-all"));
        People.share(
                owner,
                "shared-some",
                "NONE",
                "{\"kind\": \"COLLEAGUE\", \"grantee\": \"shared-by-name\", \"granted\": \"VIEW\"},"
                        + "{\"kind\": \"GROUP\", \"grantee\": \"shared-group\", \"granted\": \"WORK\"}");

        assertThat(named.get("/api/lists/shared-some/desk").json().get("right").asString())
                .isEqualTo("VIEW");
        assertThat(grouped.get("/api/lists/shared-some/desk")
                        .json()
                        .get("right")
                        .asString())
                .isEqualTo("WORK");
        assertThat(People.caller().get("/api/lists/shared-some/desk").status()).isEqualTo(404);

        administrator.put(
                "/api/accounts/shared-by-name",
                account("CALLER", "").replace("\"givenListsOnly\": false", "\"givenListsOnly\": true"),
                "\"1\"");
        named.signIn("shared-by-name", "a%20long%20password");
        assertThat(named.get("/api/lists/shared-some").status()).isEqualTo(200);
        assertThat(named.get("/api/lists/shared-all").status()).isEqualTo(404);
    }

    @Test
    void a_clinician_who_sees_own_people_only_sees_no_others_anywhere() throws Exception {
        Visitor coordinator = People.coordinator();
        Visitor administrator = People.signedIn(Role.ADMINISTRATOR);
        People.bringIn(
                coordinator,
                "id,family_name,provider\nown-list-1,Ownling,DR  Ownfold\nown-list-2,Ownling,Dr Otherfold\n");
        People.publish(coordinator, "own-list", set("own-list"));
        Visitor clinician = People.signedIn("ownfold", Role.CLINICIAN);
        administrator.put(
                "/api/accounts/ownfold",
                account("CLINICIAN", "Dr Ownfold").replace("\"ownPeopleOnly\": false", "\"ownPeopleOnly\": true"),
                "\"1\"");
        clinician.signIn("ownfold", "a%20long%20password");

        assertThat(rows(clinician.get("/api/lists/own-list").json().get("rows")))
                .containsExactly("own-list-1");
        assertThat(rows(clinician.get("/api/lists/own-list/desk").json().get("rows")))
                .containsExactly("own-list-1");
        assertThat(clinician.get("/api/people?find=ownling").json().get("total").asInt())
                .isEqualTo(1);
        assertThat(clinician.get("/api/lists/own-list/people/own-list-2").type())
                .isEqualTo("urn:dipstick:no-such-person");
        assertThat(clinician.get("/api/lists/own-list/desk/people/own-list-2").status())
                .isEqualTo(404);
        assertThat(clinician.get("/api/people/own-list-2/standing").status()).isEqualTo(404);
        assertThat(clinician.get("/api/lists/own-list/csv").text())
                .contains("own-list-1")
                .doesNotContain("own-list-2");
    }

    @Test
    void a_caller_looks_up_whoever_is_on_a_list_and_nobody_else() throws Exception {
        Visitor coordinator = People.coordinator();
        People.bringIn(coordinator, "id,family_name\nlooked-1,On\nother-1,Off\n");
        People.publish(coordinator, "looked", set("looked"));
        Visitor caller = People.caller();
        assertThat(caller.get("/api/lists/looked/people/looked-1").status()).isEqualTo(200);
        assertThat(caller.get("/api/lists/looked/people/other-1").type()).isEqualTo("urn:dipstick:not-on-this-list");
        assertThat(caller.get("/api/lists/looked/desk/people/looked-1").status())
                .isEqualTo(200);
        assertThat(caller.get("/api/lists/looked/desk/people/other-1").status()).isEqualTo(404);
        assertThat(coordinator.get("/api/lists/looked/people/other-1").status()).isEqualTo(200);
    }

    @Test
    void an_account_is_closed_only_when_all_is_handed_over_and_then_is_out_at_once() throws Exception {
        Visitor administrator = People.signedIn("closing-administrator", Role.ADMINISTRATOR);
        Visitor leaver = People.signedIn("leaver", Role.COORDINATOR);
        Visitor heir = People.signedIn("heir", Role.COORDINATOR);
        People.signedIn("no-heir", Role.CALLER);
        People.publishPrivately(leaver, "leavers-set", set("leavers-set"));
        String closed = account("COORDINATOR", "").replace("\"closed\": false", "\"closed\": true");

        Reply refused = administrator.put("/api/accounts/leaver", closed, "\"1\"");
        assertThat(refused.type()).isEqualTo("urn:dipstick:holds-something");
        assertThat(refused.text()).contains("1 criteria set");
        assertThat(administrator
                        .post("/api/accounts/leaver/hand-over", "{\"to\": \"no-heir\"}")
                        .type())
                .isEqualTo("urn:dipstick:no-coordinator");
        assertThat(heir.get("/api/criteria/leavers-set").status()).isEqualTo(404);
        assertThat(administrator
                        .post("/api/accounts/leaver/hand-over", "{\"to\": \"heir\"}")
                        .json()
                        .get("words")
                        .asString())
                .isEqualTo("Everything of Person leaver is with Person heir now.");
        assertThat(heir.get("/api/criteria/leavers-set").status()).isEqualTo(200);

        assertThat(leaver.get("/api/lists").status()).isEqualTo(200);
        assertThat(administrator.put("/api/accounts/leaver", closed, "\"1\"").status())
                .isEqualTo(200);
        assertThat(leaver.get("/api/lists").status()).isEqualTo(401);
        Visitor again = RunningServer.shared().visitor();
        again.get("/api/session");
        assertThat(again.post("/api/sign-in?username=leaver&password=a%20long%20password", "")
                        .status())
                .isEqualTo(401);
    }

    @Test
    void bad_accounts_are_refused_with_what_to_do() throws Exception {
        Visitor administrator = People.signedIn(Role.ADMINISTRATOR);
        assertThat(administrator
                        .put("/api/accounts/bad", account("CALLER", "").replace("a long password", "short"), "\"0\"")
                        .type())
                .isEqualTo("urn:dipstick:password-refused");
        assertThat(administrator
                        .put(
                                "/api/accounts/bad",
                                account("CLINICIAN", "").replace("\"ownPeopleOnly\": false", "\"ownPeopleOnly\": true"),
                                "\"0\"")
                        .type())
                .isEqualTo("urn:dipstick:no-provider");
        assertThat(administrator
                        .put("/api/accounts/bad", account("KING", ""), "\"0\"")
                        .status())
                .isEqualTo(400);
        assertThat(administrator.get("/api/accounts").text()).doesNotContain("\"bad\"");

        String caller = account("CALLER", "");
        int first = administrator
                .put("/api/accounts/crossed", caller, "\"0\"")
                .json()
                .get("revision")
                .asInt();
        assertThat(administrator.put("/api/accounts/crossed", caller, "\"0\"").text())
                .as("a new account of a name that is taken")
                .contains("There is an account with this sign-in name already.");
        String renamed = caller.replace("Somebody", "Somebody Else");
        assertThat(administrator
                        .put("/api/accounts/crossed", renamed, "\"" + first + "\"")
                        .status())
                .isEqualTo(200);
        assertThat(administrator
                        .put("/api/accounts/crossed", caller, "\"" + first + "\"")
                        .type())
                .as("of two administrators the second is told")
                .isEqualTo("urn:dipstick:changed-meanwhile");
    }

    private static String account(String role, String provider) {
        return "{\"displayName\": \"Somebody\", \"roles\": [\"" + role + "\"], \"provider\": \"" + provider
                + "\", \"ownPeopleOnly\": false, \"givenListsOnly\": false, \"closed\": false,"
                + " \"password\": \"a long password\"}";
    }

    private static List<String> rows(JsonNode rows) {
        return rows.valueStream().map(row -> row.at("/person/id").asString()).toList();
    }
}
