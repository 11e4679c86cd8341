package dipstick.server.accounts;

import dipstick.server.accounts.secondfactor.SecondFactors;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.Revisions;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** In which roles nobody may act without a second factor. */
@Service
class SecondFactorDemand {
    private static final String THING = "second factor";

    private final AccountMapper accounts;
    private final SecondFactors factors;
    private final Revisions revisions;
    private final AuditLog audit;

    SecondFactorDemand(AccountMapper accounts, SecondFactors factors, Revisions revisions, AuditLog audit) {
        this.accounts = accounts;
        this.factors = factors;
        this.revisions = revisions;
        this.audit = audit;
    }

    Set<Role> roles() {
        Set<Role> roles = EnumSet.noneOf(Role.class);
        roles.addAll(accounts.secondFactorRoles());
        return roles;
    }

    /** How often the roles were changed. */
    int revision() {
        return revisions.of(THING);
    }

    /** @param seen the revision to which the change was made */
    @Transactional
    void change(Set<Role> roles, int seen) {
        revisions.next(THING, seen, "of whom a second factor is asked");
        accounts.deleteSecondFactorRoles();
        roles.forEach(accounts::insertSecondFactorRole);
        audit.record(
                Act.ACCOUNT_CHANGED,
                roles.isEmpty() ? "no second factor asked for" : "a second factor asked of " + Account.written(roles));
    }

    boolean isOf(String account) {
        Set<Role> asked = roles();
        return !asked.isEmpty()
                && accounts.find(account)
                        .filter(one -> !Collections.disjoint(one.colleague().roles(), asked))
                        .isPresent();
    }

    /** Whether it is asked of an account that has none yet. */
    boolean isUnmetBy(String account) {
        return isOf(account) && !factors.isInUse(account);
    }
}
