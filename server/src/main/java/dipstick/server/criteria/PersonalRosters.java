package dipstick.server.criteria;

import dipstick.server.criteria.NamedInRoster.Theirs;
import dipstick.server.personal.PersonalData;
import dipstick.server.practice.Today;
import java.util.ArrayList;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/** Rows of rosters that name a person by what is on file of them, in sets, drafts and what was published before. */
@Component
@Order(5)
class PersonalRosters implements PersonalData {
    private final CriteriaMapper sets;
    private final NamedInRoster named;
    private final Today today;

    PersonalRosters(CriteriaMapper sets, NamedInRoster named, Today today) {
        this.sets = sets;
        this.named = named;
        this.today = today;
    }

    private record Row(ArrayNode among, int place, String roster, String words) {}

    @Override
    public List<Held> heldOf(String person) {
        Theirs theirs = named.of(person);
        List<List<String>> rows = new ArrayList<>();
        for (SavedSet set : sets.all()) {
            rowsOf(set.latest(), theirs).forEach(row -> rows.add(List.of(set.id(), row.roster(), row.words())));
        }
        return List.of(new Held("Rosters that name them", List.of("set", "roster", "row"), rows));
    }

    private static List<Row> rowsOf(JsonNode document, Theirs theirs) {
        List<Row> found = new ArrayList<>();
        for (JsonNode roster : document.path("rosters")) {
            List<String> key =
                    roster.path("key").valueStream().map(JsonNode::asString).toList();
            if (roster.path("rows") instanceof ArrayNode rows) {
                for (int place = 0; place < rows.size(); place++) {
                    List<String> cells = rows.get(place)
                            .valueStream()
                            .map(cell -> cell.asString(""))
                            .toList();
                    if (theirs.are(cells, key)) {
                        found.add(new Row(
                                rows,
                                place,
                                roster.path("name").asString(),
                                rows.get(place).toString()));
                    }
                }
            }
        }
        return found;
    }

    @Override
    public void erase(String person, String stub, String by) {
        Theirs theirs = named.of(person);
        sets.lock();
        for (SavedSet set : sets.all()) {
            String document = without(set.name(), set.document(), theirs);
            String draft = without(set.name(), set.draft(), theirs);
            if (!document.equals(set.document()) || !draft.equals(set.draft())) {
                // Whoever has it open finds that it was changed, and does not write the row again.
                sets.update(set.with(set.name(), document, set.version(), draft).changed(today.now(), by));
            }
        }
        for (PublishedVersion version : sets.allVersions()) {
            String document = without(version.name(), version.document(), theirs);
            if (!document.equals(version.document())) {
                sets.updateVersion(version.id(), version.version(), document);
            }
        }
    }

    /** A document without the rows that name them; as it is where there are none. */
    private static String without(String name, String document, Theirs theirs) {
        if (document.isEmpty()) {
            return document;
        }
        JsonNode json = SavedSet.parse(name, document);
        List<Row> rows = rowsOf(json, theirs).reversed();
        rows.forEach(row -> row.among().remove(row.place()));
        return rows.isEmpty() ? document : json.toString();
    }
}
