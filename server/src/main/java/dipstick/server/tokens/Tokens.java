package dipstick.server.tokens;

import dipstick.core.text.Fingerprint;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.Doors;
import dipstick.server.accounts.SignedOutEverywhere;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import dipstick.server.web.PlainLetters;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The tokens of accounts. One acts in the name of the account that made it, within its scopes, until it expires, is
 * withdrawn, or the account is closed or gets other rights or another password.
 */
@Service
class Tokens {
    /** By which whoever finds one knows what it is. */
    private static final String BEGINS = "dipstick-";

    /** 5 bits each. */
    private static final int LETTERS = 40;

    /** A program that asks every second is not written down every second. */
    private static final Duration USE_KEPT_EVERY = Duration.ofMinutes(1);

    private final TokenMapper tokens;
    private final Accounts accounts;
    private final Doors doors;
    private final AuditLog audit;
    private final Today today;

    Tokens(TokenMapper tokens, Accounts accounts, Doors doors, AuditLog audit, Today today) {
        this.tokens = tokens;
        this.accounts = accounts;
        this.doors = doors;
        this.audit = audit;
        this.today = today;
    }

    record Made(String id, String token) {}

    /** What a token that was shown lets its program do. */
    record Granted(String id, Colleague account, Set<Scope> scopes) {}

    List<TokenMapper.Row> of(String account) {
        return tokens.of(account);
    }

    @Transactional
    Made make(String account, String label, Set<Scope> scopes, Duration good) {
        String token = BEGINS + PlainLetters.random(LETTERS);
        Instant now = today.now();
        String written = scopes.stream().sorted().map(Scope::name).collect(Collectors.joining(","));
        TokenMapper.Row row = new TokenMapper.Row(
                UUID.randomUUID().toString(), account, label, written, now, now.plus(good), now, "");
        tokens.insert(row, Fingerprint.of(token));
        audit.record(Act.ACCOUNT_CHANGED, account + ", token " + row.id() + " made for a program: " + written);
        return new Made(row.id(), token);
    }

    /** Whether there was one. */
    @Transactional
    boolean withdraw(String account, String id) {
        if (tokens.delete(account, id) == 0) {
            return false;
        }
        audit.record(Act.ACCOUNT_CHANGED, account + ", token " + id + " withdrawn");
        return true;
    }

    /** What is good now; its use is kept. */
    Optional<Granted> use(String token, String address) {
        Instant now = today.now();
        Optional<TokenMapper.Row> good =
                tokens.find(Fingerprint.of(token)).filter(row -> row.expiresAt().isAfter(now));
        good.ifPresent(row -> keep(row, address, now));
        return good.map(row -> new Granted(row.id(), accounts.colleague(row.account()), Scope.parse(row.scopes())))
                .filter(granted -> !granted.account().closed()
                        && doors.open(granted.account().name()));
    }

    private void keep(TokenMapper.Row row, String address, Instant now) {
        boolean keptLately = row.lastAddress().equals(address)
                && row.lastUsedAt().plus(USE_KEPT_EVERY).isAfter(now);
        if (!keptLately) {
            tokens.used(row.id(), now, address);
        }
    }

    /** With the change itself, so that none of them outlives it. */
    @EventListener
    void with(SignedOutEverywhere everywhere) {
        int withdrawn = tokens.deleteOf(everywhere.account());
        if (withdrawn > 0) {
            audit.record(Act.ACCOUNT_CHANGED, everywhere.account() + ", " + withdrawn + " tokens withdrawn with that");
        }
    }
}
