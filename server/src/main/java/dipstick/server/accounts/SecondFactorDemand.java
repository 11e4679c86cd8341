package dipstick.server.accounts;

import dipstick.server.accounts.passkeys.Passkeys;
import dipstick.server.accounts.secondfactor.SecondFactors;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.Revisions;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is asked of whom besides a password, before they may do anything. */
@Service
class SecondFactorDemand {
    private static final String THING = "second factor";

    private final AccountMapper accounts;
    private final SecondFactors factors;
    private final Passkeys passkeys;
    private final Doors doors;
    private final Revisions revisions;
    private final AuditLog audit;

    SecondFactorDemand(
            AccountMapper accounts,
            SecondFactors factors,
            Passkeys passkeys,
            Doors doors,
            Revisions revisions,
            AuditLog audit) {
        this.accounts = accounts;
        this.factors = factors;
        this.passkeys = passkeys;
        this.doors = doors;
        this.revisions = revisions;
        this.audit = audit;
    }

    /** Of those roles of which more than a password is asked. */
    Map<Role, Demanded> roles() {
        Map<Role, Demanded> roles = new EnumMap<>(Role.class);
        accounts.secondFactorRoles().forEach(one -> roles.put(one.role(), one.demanded()));
        return roles;
    }

    /** How often the roles were changed. */
    int revision() {
        return revisions.of(THING);
    }

    /** @param seen the revision to which the change was made */
    @Transactional
    void change(Map<Role, Demanded> roles, int seen) {
        revisions.next(THING, seen, "of whom a second factor is asked");
        accounts.deleteSecondFactorRoles();
        roles.forEach((role, demanded) -> {
            if (demanded != Demanded.NOTHING) {
                accounts.insertSecondFactorRole(new AccountMapper.OfRole(role, demanded));
            }
        });
        audit.record(Act.ACCOUNT_CHANGED, "second factor asked of: " + new TreeMap<>(roles));
    }

    /** The most that is asked of any of an account's roles; of whom the practice's service vouches for, it asks itself. */
    Demanded of(String account) {
        Map<Role, Demanded> asked = roles();
        if (asked.isEmpty() || doors.isVouchedFor(account)) {
            return Demanded.NOTHING;
        }
        return accounts.find(account).stream()
                .flatMap(one -> one.colleague().roles().stream())
                .map(role -> asked.getOrDefault(role, Demanded.NOTHING))
                .max(Comparator.naturalOrder())
                .orElse(Demanded.NOTHING);
    }

    /** Whether an account has not set up yet what is asked of it. */
    boolean isUnmetBy(String account) {
        return switch (of(account)) {
            case NOTHING -> false;
            case EITHER -> !factors.isInUse(account) && !passkeys.has(account);
            case PASSKEY -> !passkeys.has(account);
        };
    }

    /** Whether the account's code is all that it has of what is asked of it. */
    boolean hangsOnCode(String account) {
        return of(account) == Demanded.EITHER && !passkeys.has(account);
    }

    /** Whether the account has a passkey, and its password does not get it in. */
    boolean keepsPasswordOut(String account) {
        return switch (of(account)) {
            case NOTHING -> false;
            case EITHER -> !factors.isInUse(account) && passkeys.has(account);
            case PASSKEY -> passkeys.has(account);
        };
    }
}
