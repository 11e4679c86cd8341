package dipstick.core.export;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import dipstick.core.evaluate.Due;
import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.ListMember;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
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
        StringWriter text = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(text)) {
            csv.writeRecord("person_id", "state", "due_on", "band");
            for (ListMember member : ordered(reading.records(), members)) {
                csv.writeRecord(
                        reading.records().idOf(member.person()),
                        member.state().word(),
                        dueText(member.due()),
                        member.band().orElse(""));
            }
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
        ObjectNode json = JSON.objectNode();
        json.put("criteria", reading.set().id());
        json.put("asOf", reading.asOf().toString());
        json.put("zone", zone.getId());
        LevelCounts counts = LevelCounts.of(reading);
        json.set("population", JSON.objectNode().put("people", counts.people()).put("deceased", counts.deceased()));
        ArrayNode levels = json.putArray("levels");
        counts.criteria().forEach(level -> levels.add(level(level)));
        json.set("eligible", sides(counts.eligible()));
        json.set("has", sides(counts.eligibleAndHas()));
        json.set("list", sides(counts.list()));
        ArrayNode list = json.putArray("members");
        ordered(reading.records(), members).forEach(member -> list.add(member(reading.records(), member)));
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

    private static ObjectNode member(Population records, ListMember member) {
        ObjectNode json = JSON.objectNode();
        json.put("person", records.idOf(member.person()));
        json.put("state", member.state().word());
        String due = dueText(member.due());
        json.put("dueOn", due.isEmpty() ? null : due);
        json.put("band", member.band().orElse(null));
        return json;
    }

    private static List<ListMember> ordered(Population records, List<ListMember> members) {
        return members.stream()
                .sorted(Comparator.comparing(member -> records.idOf(member.person()), BY_CODE_POINT))
                .toList();
    }
}
