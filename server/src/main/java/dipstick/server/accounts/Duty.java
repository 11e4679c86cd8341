package dipstick.server.accounts;

import static dipstick.server.accounts.Role.ADMINISTRATOR;
import static dipstick.server.accounts.Role.CALLER;
import static dipstick.server.accounts.Role.CLINICIAN;
import static dipstick.server.accounts.Role.COORDINATOR;
import static dipstick.server.accounts.Role.MANAGER;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * What somebody does here, and the roles it belongs to. Addresses ask for one, and pages offer what belongs to one: they read the
 * same table from {@code web/src/session/duties.json}, which is written from this one.
 */
public enum Duty {
    /** Builds criteria sets, says how their lists are worked, shared and sent, and what becomes of records about one person. */
    COORDINATE(COORDINATOR),
    /** Sees lists and the people on them. */
    READ_LISTS(COORDINATOR, CALLER, CLINICIAN, MANAGER),
    /** Takes people on lists and calls them; whoever manages looks only. */
    WORK_LISTS(COORDINATOR, CALLER, CLINICIAN),
    /** Sees anybody on file, on a list or not. */
    SEE_PEOPLE(COORDINATOR, CLINICIAN),
    /** Looks at how all lists go, and who works them. */
    REVIEW_WORK(COORDINATOR, MANAGER),
    BRING_RECORDS_IN(COORDINATOR, ADMINISTRATOR),
    /** Says what stands at the head of letters. */
    KEEP_LETTERHEAD(COORDINATOR, ADMINISTRATOR),
    READ_AUDIT_LOG(MANAGER, ADMINISTRATOR),
    /** Reads there who was looked at, too, not what was done with the house alone. */
    READ_WHOLE_AUDIT_LOG(MANAGER),
    /** Keeps accounts, backups and the record systems that ask. */
    KEEP_HOUSE(ADMINISTRATOR);

    private final Set<Role> roles;

    Duty(Role... roles) {
        this.roles = Collections.unmodifiableSet(EnumSet.copyOf(List.of(roles)));
    }

    /** Any of these is enough; in the order of {@link Role}. */
    public Set<Role> roles() {
        return roles;
    }

    String[] roleNames() {
        return roles.stream().map(Role::name).toArray(String[]::new);
    }
}
