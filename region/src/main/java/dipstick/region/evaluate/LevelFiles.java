package dipstick.region.evaluate;

import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.export.ReadingExport;
import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The levels of practices and of all of them together, as JSON and as CSV. */
final class LevelFiles {
    private static final String FORMAT = "dipstick-region-levels/1";

    private LevelFiles() {}

    /** @param hideBelow the least number of people that is told; 0 where all are */
    static void write(Question question, Map<String, PartAnswer> practices, int hideBelow, OutFiles out)
            throws IOException, InvalidCriteria {
        ObjectNode all = node(question, PartAnswer.all(practices.values()), 0);
        Map<String, ObjectNode> each = new TreeMap<>();
        practices.forEach((name, answer) -> each.put(name, node(question, answer, 0)));
        SmallNumbers.hide(hideBelow, all, List.copyOf(each.values()));
        out.put("levels.csv", csv(all, each));
        out.put("levels.json", json(question.fingerprint(), all, each));
    }

    /** As {@code evaluate} writes them, but for the members; with what only one criterion keeps off, where that was asked. */
    static String json(Question question, PartAnswer answer) {
        return node(question, answer, 0).toPrettyString() + "\n";
    }

    /** @param day the place of the day that is asked */
    static ObjectNode node(Question question, PartAnswer answer, int day) {
        ObjectNode json = ReadingExport.levels(
                answer.criteria(),
                question.asOf().get(day),
                question.zone(),
                answer.levels().get(day));
        if (!answer.keptOffOnly().isEmpty()) {
            ObjectNode only = json.putObject("keptOffOnlyBy");
            answer.keptOffOnly().forEach(only::put);
        }
        return json;
    }

    private static String json(String asked, ObjectNode all, Map<String, ObjectNode> practices) {
        ObjectNode file = JsonNodeFactory.instance.objectNode();
        file.put("format", FORMAT).put("asked", asked).setAll(all);
        ArrayNode each = file.putArray("practices");
        practices.forEach((name, levels) -> {
            ObjectNode one = each.addObject().put("practice", name);
            levels.without(List.of("criteria", "asOf", "zone"))
                    .properties()
                    .forEach(part -> one.set(part.getKey(), part.getValue()));
        });
        return file.toPrettyString() + "\n";
    }

    /** A line for each level: of all together first, where no practice is named, then of each. */
    private static String csv(ObjectNode all, Map<String, ObjectNode> practices) {
        Table table = new Table(
                "practice", "section", "criterion", "alone_yes", "alone_unsure", "remaining_yes", "remaining_unsure");
        add(table, "", all);
        practices.forEach((name, levels) -> add(table, name, levels));
        return table.csv();
    }

    private static void add(Table table, String practice, JsonNode levels) {
        table.add(practice, "population", "", number(levels.at("/population/people")), 0, "", "");
        for (JsonNode level : levels.get("levels")) {
            table.add(
                    practice,
                    level.get("section").asString(),
                    level.get("criterion").asString(),
                    number(level.at("/alone/yes")),
                    number(level.at("/alone/unsure")),
                    number(level.at("/remaining/yes")),
                    number(level.at("/remaining/unsure")));
        }
        for (String part : List.of("eligible", "has", "list")) {
            JsonNode sides = levels.get(part);
            table.add(practice, part, "", number(sides.get("yes")), number(sides.get("unsure")), "", "");
        }
    }

    /** Empty where there is none, or it is hidden. */
    static String number(JsonNode number) {
        return number.isInt() ? String.valueOf(number.asInt()) : "";
    }
}
