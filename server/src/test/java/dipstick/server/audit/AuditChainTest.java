package dipstick.server.audit;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.RunningServer;
import dipstick.server.RunningServer.Visitor;
import dipstick.server.SetClock;
import dipstick.server.accounts.Role;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What shows that somebody changed the log behind Dipstick's back. */
class AuditChainTest {
    private static final List<String> BEHIND_ITS_BACK = List.of(
            "UPDATE audit_entry SET subject = 'another' WHERE subject = 'list 5'",
            "UPDATE audit_entry SET account = 'tam' WHERE subject = 'list 5'",
            "UPDATE audit_entry SET at = DATEADD(SECOND, 1, at) WHERE subject = 'list 5'",
            "UPDATE audit_entry SET address = '192.0.2.1' WHERE subject = 'list 5'",
            "DELETE FROM audit_entry WHERE subject = 'list 5'",
            "UPDATE audit_entry SET place = place + 1000 WHERE subject = 'list 5'",
            "UPDATE audit_entry SET subject = 'list 5' || account, account = '' WHERE subject = 'list 5'");

    @TempDir
    private Path data;

    private final SetClock clock = SetClock.onThe(LocalDate.of(2026, 11, 27));
    private RunningServer server;
    private JdbcTemplate database;

    @BeforeEach
    void begin() {
        server = RunningServer.over(data, clock, "--dipstick.audit.kept-days=30");
        database = new JdbcTemplate(server.bean(DataSource.class));
        for (int i = 0; i < 12; i++) {
            log().record("orla", Act.LIST_READ, "list " + i);
        }
        chain().extend();
    }

    @AfterEach
    void end() {
        server.stop();
    }

    private AuditLog log() {
        return server.bean(AuditLog.class);
    }

    private AuditChain chain() {
        return server.bean(AuditChain.class);
    }

    @Test
    void an_untouched_log_is_right_and_goes_on_over_a_restart() {
        AuditChain.Verified before = chain().verify();
        assertThat(before.broken()).isEmpty();
        assertThat(before.entries()).isGreaterThanOrEqualTo(12);
        server.stop();
        server = RunningServer.over(data, clock);
        log().record("orla", Act.LIST_READ, "after");
        AuditChain.Verified after = chain().verify();
        assertThat(after.broken()).isEmpty();
        assertThat(after.entries()).isEqualTo(before.entries() + 1);
        assertThat(after.head()).isNotEqualTo(before.head());
    }

    @Test
    void whatever_was_changed_is_found() {
        TransactionTemplate transaction = new TransactionTemplate(server.bean(PlatformTransactionManager.class));
        assertThat(BEHIND_ITS_BACK)
                .allSatisfy(change -> transaction.executeWithoutResult(undone -> {
                    assertThat(database.update(change)).isEqualTo(1);
                    assertThat(chain().verify().broken()).isPresent();
                    undone.setRollbackOnly();
                }));
        assertThat(chain().verify().broken()).isEmpty();
    }

    @Test
    void what_was_kept_long_enough_is_forgotten_and_the_rest_is_still_right() {
        clock.set(LocalDate.of(2027, 3, 1));
        log().record("orla", Act.LIST_READ, "later");
        chain().extend();
        chain().forget();
        AuditChain.Verified verified = chain().verify();
        assertThat(verified.broken()).isEmpty();
        assertThat(verified.entries()).isEqualTo(1);
    }

    @Test
    void a_manager_verifies_and_exports_it_and_an_administrator_sees_nobody_in_it() throws Exception {
        Visitor manager = server.signedIn("maud", Role.MANAGER);
        JsonNode state = manager.get("/api/audit/chain").json();
        assertThat(state.get("entries").asInt()).isGreaterThan(12);
        assertThat(state.has("broken")).isFalse();
        List<JsonNode> lines = manager.get("/api/audit/export")
                .text()
                .lines()
                .map(JsonMapper.shared()::readTree)
                .toList();
        assertThat(lines)
                .hasSizeGreaterThan(12)
                .allMatch(line -> line.get("hash").asString().length() == 64);
        assertThat(lines).anyMatch(line -> line.get("subject").asString().equals("list 5"));

        Visitor administrator = server.signedIn("adam", Role.ADMINISTRATOR);
        assertThat(administrator.get("/api/audit").text()).contains("SIGNED_IN").doesNotContain("list 5");
        assertThat(administrator.get("/api/audit/export").text())
                .contains("SIGNED_IN")
                .doesNotContain("list 5");
        assertThat(administrator.get("/api/audit?act=LIST_READ").json().get("entries"))
                .isEmpty();
    }

    @Test
    void what_is_refused_is_written_down_once_with_where_it_was_asked_for() throws Exception {
        Visitor caller = server.signedIn("tam", Role.CALLER);
        for (int i = 0; i < 3; i++) {
            assertThat(caller.get("/api/accounts").status()).isEqualTo(403);
        }
        Visitor manager = server.signedIn("maud", Role.MANAGER);
        JsonNode refused = manager.get("/api/audit?act=REFUSED").json().get("entries");
        assertThat(refused).hasSize(1);
        assertThat(refused.at("/0/subject").asString()).isEqualTo("GET /api/accounts");
        assertThat(refused.at("/0/address").asString()).isNotEmpty();
        assertThat(refused.at("/0/session").asString()).hasSize(10);
    }
}
