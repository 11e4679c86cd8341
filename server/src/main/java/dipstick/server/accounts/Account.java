package dipstick.server.accounts;

import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** An account as it is stored; {@code roles} are separated by commas. */
record Account(
        String name,
        String displayName,
        String roles,
        String provider,
        boolean ownPeopleOnly,
        boolean givenListsOnly,
        boolean closed,
        String passwordHash,
        int revision) {
    /** For whoever reads the log: caller, clinician. */
    static String inWords(Collection<Role> roles) {
        return roles.stream()
                .sorted()
                .map(role -> role.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
    }

    static String written(Collection<Role> roles) {
        return roles.stream().sorted().map(Role::name).collect(Collectors.joining(","));
    }

    Colleague colleague() {
        Set<Role> all = EnumSet.noneOf(Role.class);
        Arrays.stream(roles.split(",")).map(Role::valueOf).forEach(all::add);
        return new Colleague(name, displayName, all, provider, ownPeopleOnly, givenListsOnly, closed);
    }
}
