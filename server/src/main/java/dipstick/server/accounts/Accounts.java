package dipstick.server.accounts;

import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.practice.Today;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people who may sign in. */
@Service
public class Accounts {
    private final AccountMapper accounts;
    private final PasswordEncoder passwords;
    private final AuditLog audit;
    private final Today today;

    Accounts(AccountMapper accounts, PasswordEncoder passwords, AuditLog audit, Today today) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.audit = audit;
        this.today = today;
    }

    public boolean none() {
        return accounts.count() == 0;
    }

    /** Creates an account; the name is kept in lower case, so that it can be typed either way. */
    @Transactional
    public void create(String name, String displayName, Role role, String password) {
        String signInName = signInName(name);
        accounts.insert(new Account(signInName, displayName, role, passwords.encode(password)), today.now());
        audit.record(signInName, Act.ACCOUNT_CREATED, signInName + " as " + role);
    }

    /** The name that somebody goes by, or their sign-in name where it has no account. */
    public String displayName(String name) {
        return find(name).map(Account::displayName).orElse(name);
    }

    Optional<Account> find(String name) {
        return accounts.find(signInName(name));
    }

    private static String signInName(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }
}
