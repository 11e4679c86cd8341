package dipstick.server.accounts;

import dipstick.core.text.NormalText;
import java.util.Set;

/**
 * Somebody who may sign in.
 *
 * @param provider the provider that they are in the records; empty where they are none
 * @param ownPeopleOnly whether they see the people of that provider alone
 * @param givenListsOnly whether they see the lists that are shared with them by name or group, not everybody's
 * @param closed whether the account is kept for what was done with it, but cannot be signed in to
 */
public record Colleague(
        String name,
        String displayName,
        Set<Role> roles,
        String provider,
        boolean ownPeopleOnly,
        boolean givenListsOnly,
        boolean closed) {
    public Colleague {
        roles = Set.copyOf(roles);
    }

    public boolean is(Role role) {
        return roles.contains(role);
    }

    public boolean has(Duty duty) {
        return duty.roles().stream().anyMatch(this::is);
    }

    /** Whether the same may be done and seen with both. */
    boolean mayTheSameAs(Colleague other) {
        return new Colleague(name, other.displayName, roles, provider, ownPeopleOnly, givenListsOnly, closed)
                .equals(other);
    }

    /** Whether they may see somebody whose provider on record is this one. */
    public boolean maySeePeopleOf(String recorded) {
        return !ownPeopleOnly || NormalText.of(recorded).equals(NormalText.of(provider));
    }
}
