package dipstick.server.tokens;

import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.Duty;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpMethod;

/** What a token lets its program do, and whose duty its account has to have for that. */
enum Scope {
    /** See the lists that are shared with the account, and fetch them as CSV. */
    LISTS_READ(
            Duty.READ_LISTS,
            "GET /api/lists",
            "GET /api/lists/{id}",
            "GET /api/lists/{id}/csv",
            "GET /api/lists/{id}/csv-metadata.json",
            "GET /api/lists/{id}/readings"),
    /** Bring people and records in, and see what became of them. */
    RECORDS_BRING_IN(
            Duty.BRING_RECORDS_IN,
            "POST /api/deliveries",
            "GET /api/deliveries/{id}",
            "DELETE /api/deliveries/{id}",
            "GET /api/deliveries/{id}/problems",
            "POST /api/deliveries/{id}/take",
            "GET /api/records/standing"),
    /** See whether the server is well. */
    HEALTH_READ(Duty.KEEP_HOUSE, "GET /actuator/**");

    /** A kind of request. */
    record Door(HttpMethod method, String path) {}

    private final Duty duty;
    private final List<Door> doors;

    Scope(Duty duty, String... doors) {
        this.duty = duty;
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

    boolean isFor(Colleague colleague) {
        return colleague.has(duty);
    }

    static Set<Scope> parse(String written) {
        return Arrays.stream(written.split(",")).map(Scope::valueOf).collect(Collectors.toSet());
    }
}
