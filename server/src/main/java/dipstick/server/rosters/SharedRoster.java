package dipstick.server.rosters;

import dipstick.server.criteria.Copies;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A roster that criteria sets share. Each of them holds a copy of those rows that hold as of a day, so that what a set said
 * at a version stays said.
 *
 * @param keyFields the person fields that its rows are known by, as JSON
 * @param named its rows, as JSON
 * @param until the last day on which it holds; empty where it holds on
 * @param copiedOn the day whose rows the copies are
 * @param intake how files of it are read, as JSON; empty where it never came from one
 */
record SharedRoster(
        String id,
        String name,
        String keyFields,
        String named,
        String until,
        LocalDate copiedOn,
        String intake,
        int version,
        Instant changedAt,
        String changedBy) {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<List<String>> TEXTS = new TypeReference<>() {};
    private static final TypeReference<List<Row>> ROWS = new TypeReference<>() {};

    /**
     * Somebody who is named.
     *
     * @param cells one for each field of the key
     * @param until the last day on which this holds; empty where it holds on
     */
    record Row(List<String> cells, String until) {
        static final int LONGEST_CELL = 400;

        Row {
            cells = List.copyOf(cells);
        }

        private boolean holdsOn(LocalDate day) {
            return SharedRoster.holdsOn(until, day);
        }
    }

    static String written(Object value) {
        return JSON.writeValueAsString(value);
    }

    List<String> key() {
        return JSON.readValue(keyFields, TEXTS);
    }

    List<Row> rows() {
        return JSON.readValue(named, ROWS);
    }

    private static boolean holdsOn(String until, LocalDate day) {
        return until.isEmpty() || !LocalDate.parse(until).isBefore(day);
    }

    /** The rows that hold on a day. */
    List<Row> rowsOn(LocalDate day) {
        return holdsOn(until, day)
                ? rows().stream().filter(row -> row.holdsOn(day)).toList()
                : List.of();
    }

    /** As it stands in a document on a day (criteria.md section 4). */
    ObjectNode inDocument(LocalDate day) {
        return inDocument(rowsOn(day));
    }

    /** With all its rows, those that ended too. */
    ObjectNode whole() {
        return inDocument(rows());
    }

    private ObjectNode inDocument(List<Row> rows) {
        ObjectNode roster = JsonNodeFactory.instance.objectNode().put("id", id).put("name", name);
        ArrayNode key = roster.putArray("key");
        key().forEach(key::add);
        ArrayNode all = roster.putArray("rows");
        for (Row row : rows) {
            ArrayNode cells = all.addArray();
            row.cells().forEach(cells::add);
        }
        return roster;
    }

    /** The copies that sets hold of it. */
    Copies copies() {
        return new Copies("rosters", inDocument(copiedOn));
    }

    SharedRoster at(int newVersion, LocalDate newCopiedOn, Instant at, String who) {
        return new SharedRoster(id, name, keyFields, named, until, newCopiedOn, intake, newVersion, at, who);
    }

    SharedRoster withRows(List<Row> rows) {
        return new SharedRoster(
                id, name, keyFields, written(rows), until, copiedOn, intake, version, changedAt, changedBy);
    }
}
