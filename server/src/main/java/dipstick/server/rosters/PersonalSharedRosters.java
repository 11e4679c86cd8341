package dipstick.server.rosters;

import dipstick.server.criteria.CriteriaChanges;
import dipstick.server.criteria.NamedInRoster;
import dipstick.server.personal.PersonalData;
import dipstick.server.practice.Today;
import java.util.ArrayList;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Rows of shared rosters that name a person; the copies of them are told and erased with the sets that hold them. */
@Component
@Order(5)
class PersonalSharedRosters implements PersonalData {
    private final RosterMapper rosters;
    private final CriteriaChanges changes;
    private final NamedInRoster named;
    private final Today today;

    PersonalSharedRosters(RosterMapper rosters, CriteriaChanges changes, NamedInRoster named, Today today) {
        this.rosters = rosters;
        this.changes = changes;
        this.named = named;
        this.today = today;
    }

    @Override
    public List<Held> heldOf(String person) {
        NamedInRoster.Theirs theirs = named.of(person);
        List<List<String>> rows = new ArrayList<>();
        for (SharedRoster roster : rosters.all()) {
            List<String> key = roster.key();
            roster.rows().stream()
                    .filter(row -> theirs.are(row.cells(), key))
                    .forEach(row -> rows.add(List.of(roster.name(), String.join(", ", row.cells()), row.until())));
        }
        return List.of(new Held("Shared rosters that name them", List.of("roster", "row", "until"), rows));
    }

    @Override
    public void erase(String person, String stub, String by) {
        NamedInRoster.Theirs theirs = named.of(person);
        changes.lock();
        for (SharedRoster roster : rosters.all()) {
            List<String> key = roster.key();
            List<SharedRoster.Row> all = roster.rows();
            List<SharedRoster.Row> others =
                    all.stream().filter(row -> !theirs.are(row.cells(), key)).toList();
            if (others.size() < all.size()) {
                // As of the same day as before, so that the copies that lost the row as well are known as such.
                rosters.update(roster.withRows(others).at(roster.version() + 1, roster.copiedOn(), today.now(), by));
            }
        }
    }
}
