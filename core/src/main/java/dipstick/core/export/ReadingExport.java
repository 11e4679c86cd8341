package dipstick.core.export;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dipstick.core.evaluate.Due;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a reading and its members in the formats of the command line. */
public final class ReadingExport {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    static final Comparator<String> BY_CODE_POINT = (one, other) -> {
        int[] left = one.codePoints().toArray();
        int[] right = other.codePoints().toArray();
        return Arrays.compare(left, right);
    };

    private ReadingExport() {}

    /** One line for each member, ordered by person id by code point. */
    public static String csv(Reading reading, List<ListMember> members) {
        return csv(ListRow.of(reading.records(), members));
    }

    /** One line for each, as they are ordered. */
    public static String csv(List<ListRow> rows) {
        StringWriter text = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
            csv.writeRecord(ListRow.COLUMNS);
            rows.forEach(row -> csv.writeRecord(row.cells()));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    /** A date, {@code never}, or empty where there is no due date. */
    public static String dueText(Due due) {
        return switch (due) {
            case Due.None _ -> "";
            case Due.Never _ -> "never";
            case Due.On(var day) -> day.toString();
        };
    }

    /** Reads what {@link #dueText} wrote. */
    public static Due due(String text) {
        return switch (text) {
            case "" -> new Due.None();
            case "never" -> new Due.Never();
            default -> new Due.On(LocalDate.parse(text));
        };
    }

    public static JsonNode json(Reading reading, List<ListMember> members, ZoneId zone) {
        ObjectNode json = levels(reading.set().id(), reading.asOf(), zone, LevelCounts.of(reading));
        ArrayNode list = json.putArray("members");
        ListRow.of(reading.records(), members).forEach(row -> list.add(member(row)));
        return json;
    }

    /** What the answer says but for its members. */
    public static ObjectNode levels(String criteria, LocalDate asOf, ZoneId zone, LevelCounts counts) {
        ObjectNode json = JSON.objectNode();
        json.put("criteria", criteria);
        json.put("asOf", asOf.toString());
        json.put("zone", zone.getId());
        json.set("population", JSON.objectNode().put("people", counts.people()).put("deceased", counts.deceased()));
        ArrayNode levels = json.putArray("levels");
        counts.criteria().forEach(level -> levels.add(level(level)));
        json.set("eligible", sides(counts.eligible()));
        json.set("has", sides(counts.eligibleAndHas()));
        json.set("list", sides(counts.list()));
        return json;
    }

    private static ObjectNode level(LevelCounts.OfCriterion level) {
        ObjectNode json = JSON.objectNode();
        json.put("section", level.section().key());
        json.put("criterion", level.criterion());
        json.set("alone", sides(level.alone()));
        level.remaining().ifPresent(remaining -> json.set("remaining", sides(remaining)));
        return json;
    }

    private static ObjectNode sides(LevelCounts.Sides sides) {
        return JSON.objectNode().put("yes", sides.yes()).put("unsure", sides.unsure());
    }

    private static ObjectNode member(ListRow row) {
        ObjectNode json = JSON.objectNode();
        json.put("person", row.person());
        json.put("state", row.state());
        json.put("dueOn", row.dueOn().isEmpty() ? null : row.dueOn());
        json.put("band", row.band().isEmpty() ? null : row.band());
        return json;
    }
}
