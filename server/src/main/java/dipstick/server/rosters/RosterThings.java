package dipstick.server.rosters;

import dipstick.core.things.Things;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** A shared roster as a list of things: its rows, and until when each holds. */
@Component
public class RosterThings {
    private final Rosters rosters;

    RosterThings(Rosters rosters) {
        this.rosters = rosters;
    }

    public record Named(String name, Things things) {}

    /** Refused where there is no such roster. */
    public Named of(String id) {
        SharedRoster roster = rosters.get(id);
        List<List<String>> rows = roster.rows().stream()
                .map(row -> Stream.concat(row.cells().stream(), Stream.of(row.until()))
                        .toList())
                .toList();
        List<String> columns =
                Stream.concat(roster.key().stream(), Stream.of("until")).toList();
        return new Named(roster.name(), new Things(columns, rows));
    }
}
