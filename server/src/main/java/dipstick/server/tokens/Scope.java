package dipstick.server.tokens;

import dipstick.server.accounts.Role;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpMethod;

/** What a token lets its program do, and in which roles its account has to be for that. */
enum Scope {
    /** See the lists that are shared with the account, and fetch them as CSV. */
    LISTS_READ(
            Set.of(Role.COORDINATOR, Role.CALLER, Role.CLINICIAN, Role.MANAGER),
            "GET /api/lists",
            "GET /api/lists/{id}",
            "GET /api/lists/{id}/csv",
            "GET /api/lists/{id}/csv-metadata.json",
            "GET /api/lists/{id}/readings"),
    /** Bring people and records in, and see what became of them. */
    RECORDS_BRING_IN(
            Set.of(Role.COORDINATOR, Role.ADMINISTRATOR),
            "POST /api/deliveries",
            "GET /api/deliveries/{id}",
            "DELETE /api/deliveries/{id}",
            "GET /api/deliveries/{id}/problems",
            "POST /api/deliveries/{id}/take",
            "GET /api/records/standing"),
    /** See whether the server is well. */
    HEALTH_READ(Set.of(Role.ADMINISTRATOR), "GET /actuator/**");

    /** A kind of request. */
    record Door(HttpMethod method, String path) {}

    private final Set<Role> roles;
    private final List<Door> doors;

    Scope(Set<Role> roles, String... doors) {
        this.roles = roles;
        this.doors = Stream.of(doors)
                .map(door -> door.split(" "))
                .map(door -> new Door(HttpMethod.valueOf(door[0]), door[1]))
                .toList();
    }

    List<Door> doors() {
        return doors;
    }

    /** As Spring Security names it. */
    String authority() {
        return "SCOPE_" + name();
    }

    boolean isFor(Set<Role> has) {
        return has.stream().anyMatch(roles::contains);
    }

    static Set<Scope> parse(String written) {
        return Arrays.stream(written.split(",")).map(Scope::valueOf).collect(Collectors.toSet());
    }
}
