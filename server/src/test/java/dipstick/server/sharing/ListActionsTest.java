package dipstick.server.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import dipstick.server.RunningServer.Reply;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.accounts.Role;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What each role may do with a list that is there, by what is shared with it: role by action. A role is tried with the
 * list shared to look at, to work and to change; it never may more than its roles allow.
 */
class ListActionsTest {
    private static final String WORK = "{'kind': 'NOTE', 'batch': 'b', 'people': [{'person': 'none', 'revision': 1}],"
            + " 'outcome': '', 'words': 'x', 'step': 'NONE', 'day': '', 'to': '', 'everywhere': false}";
    private static final String MANNER = "{'plan': {'steps': [{'step': 'CALL', 'afterDays': 0}], 'afterReached': 1,"
            + " 'afterBooked': 1}, 'hold': {'appointmentDays': 1, 'reachedDays': 1, 'doNotContact': true, 'noWay':"
            + " true}, 'parts': []}";
    private static final String OUT =
            "{'format': 'CSV', 'people': ['acts-1'], 'columns': ['NAME'], 'template': ''," + " 'reason': ''}";
    private static final String OUT_WITH_CONTACTS =
            OUT.replace("'NAME'", "'PHONE'").replace("'reason': ''", "'reason': 'r'");
    private static final String LETTERS =
            OUT.replace("CSV", "LETTERS").replace("'template': ''", "'template': 'Recall'");
    private static final String PREVIEW = "{'person': 'acts-1', 'subject': 's', 'body': 'b'}";
    private static final String MAIL = "{'people': ['acts-1'], 'template': 'Recall', 'reason': 'r'}";
    private static final String PLAN =
            "{'every': 'WEEK', 'dayOfWeek': 'MONDAY', 'dayOfMonth': 1, 'at': '07:30', 'turned': {}}";
    private static final Map<String, String> BODIES = Map.of(
            "work", WORK,
            "manner", MANNER,
            "out", OUT,
            "contacts", OUT_WITH_CONTACTS,
            "letters", LETTERS,
            "preview", PREVIEW,
            "mail", MAIL,
            "plan", PLAN,
            "views", "{'views': []}",
            "none", "");

    private static final Map<Role, Visitor> VISITORS = new EnumMap<>(Role.class);

    @BeforeAll
    static void begin() throws Exception {
        Visitor owner = People.coordinator();
        People.bringIn(owner, "id,phone\nacts-1,01632 960001\n");
        for (Right right : Right.values()) {
            String id = list(right);
            People.publishPrivately(
                    owner,
                    id,
                    ("{'format': 'dipstick-criteria/1', 'id': '" + id + "', 'name': '" + id + "', 'include': [{'id':"
                                    + " 'mine', 'test': {'field': 'id', 'in': ['acts-1']}}]}")
                            .replace('\'', '"'));
            People.share(owner, id, right.name(), "");
        }
        for (Role role : Role.values()) {
            VISITORS.put(role, People.signedIn(role));
        }
    }

    private static String list(Right shared) {
        return "acts-on-" + shared.name().toLowerCase(Locale.ROOT);
    }

    /** The right that each role has at most. */
    private static Right most(Role role) {
        return switch (role) {
            case COORDINATOR -> Right.CHANGE;
            case CALLER, CLINICIAN -> Right.WORK;
            case MANAGER -> Right.VIEW;
            case ADMINISTRATOR -> Right.NONE;
        };
    }

    @ParameterizedTest(name = "{0} {1}, {2}, needs {3}")
    @CsvSource({
        "GET, '', none, VIEW",
        "GET, /csv, none, VIEW",
        "GET, /people/acts-1, none, VIEW",
        "GET, /desk, none, VIEW",
        "GET, /desk/people/acts-1, none, VIEW",
        "GET, /desk/views, none, VIEW",
        "PUT, /desk/views, views, VIEW",
        "GET, /readings, none, VIEW",
        "GET, /reading-plan, none, VIEW",
        "GET, /levels, none, VIEW",
        "POST, /out, out, VIEW",
        "POST, /out, contacts, WORK",
        "POST, /out, letters, WORK",
        "POST, /out/check, letters, WORK",
        "POST, /out/preview, preview, WORK",
        "POST, /out/mail, mail, WORK",
        "POST, /desk/work, work, WORK",
        "DELETE, /desk/work/none, none, WORK",
        "PUT, /desk/manner, manner, CHANGE",
        "PUT, /reading-plan, plan, CHANGE",
        "POST, /readings, none, CHANGE",
    })
    void nobody_does_what_is_not_shared_with_them_or_their_role_must_not(
            String method, String path, String body, Right needed) throws Exception {
        for (Role role : Role.values()) {
            for (Right shared : Right.values()) {
                Right has = shared.atMost(most(role));
                Reply reply = ask(
                        VISITORS.get(role),
                        method,
                        "/api/lists/" + list(shared) + path,
                        BODIES.get(body).replace('\'', '"'));
                String what = role + " with " + shared + ": " + reply;
                if (has.includes(needed)) {
                    assertThat(reply.status()).as(what).isNotIn(401, 403, 404, 500);
                } else if (most(role) == Right.NONE) {
                    assertThat(reply.status()).as(what).isEqualTo(403);
                } else {
                    // What one may not even look at is not there.
                    assertThat(reply.status()).as(what).isEqualTo(has.includes(Right.VIEW) ? 403 : 404);
                    assertThat(reply.text()).as(what).doesNotContain("01632 960001");
                }
            }
        }
    }

    private static Reply ask(Visitor visitor, String method, String path, String body) throws Exception {
        return switch (method) {
            case "GET" -> visitor.get(path);
            case "PUT" -> visitor.put(path, body, "\"0\"");
            case "DELETE" -> visitor.delete(path);
            default -> visitor.post(path, body);
        };
    }
}
