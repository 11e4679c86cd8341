package dipstick.region.evaluate;

import dipstick.core.evaluate.LevelCounts;
import dipstick.core.evaluate.LevelCounts.Sides;
import dipstick.core.export.ReadingExport;
import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The levels of practices and of all of them together, as JSON and as CSV. */
final class LevelFiles {
    private LevelFiles() {}

    static void write(Question question, Map<String, PartAnswer> practices, OutFiles out) throws IOException {
        PartAnswer all = practices.values().stream().reduce(PartAnswer::plus).orElseThrow();
        out.put("levels.json", json(question, all, practices));
        out.put("levels.csv", csv(all, practices));
    }

    /** As {@code evaluate} writes them, but for the members; with what only one criterion keeps off, where that was asked. */
    static String json(Question question, PartAnswer answer) {
        return node(question, answer).toPrettyString() + "\n";
    }

    private static ObjectNode node(Question question, PartAnswer answer) {
        ObjectNode json = ReadingExport.levels(
                answer.criteria(),
                question.asOf().getFirst(),
                question.zone(),
                answer.levels().getFirst());
        if (!answer.keptOffOnly().isEmpty()) {
            ObjectNode only = json.putObject("keptOffOnlyBy");
            answer.keptOffOnly().forEach(only::put);
        }
        return json;
    }

    private static String json(Question question, PartAnswer all, Map<String, PartAnswer> practices) {
        ObjectNode json = node(question, all);
        ArrayNode each = json.putArray("practices");
        practices.forEach((name, answer) -> {
            ObjectNode one = each.addObject().put("practice", name);
            node(question, answer)
                    .without(List.of("criteria", "asOf", "zone"))
                    .properties()
                    .forEach(part -> one.set(part.getKey(), part.getValue()));
        });
        return json.toPrettyString() + "\n";
    }

    /** A line for each level: of all together first, where no practice is named, then of each. */
    private static String csv(PartAnswer all, Map<String, PartAnswer> practices) {
        Table table = new Table(
                "practice", "section", "criterion", "alone_yes", "alone_unsure", "remaining_yes", "remaining_unsure");
        add(table, "", all.levels().getFirst());
        practices.forEach((name, answer) -> add(table, name, answer.levels().getFirst()));
        return table.csv();
    }

    private static void add(Table table, String practice, LevelCounts counts) {
        table.add(practice, "population", "", counts.people(), 0, "", "");
        for (LevelCounts.OfCriterion level : counts.criteria()) {
            table.add(
                    practice,
                    level.section().key(),
                    level.criterion(),
                    level.alone().yes(),
                    level.alone().unsure(),
                    left(level, Sides::yes),
                    left(level, Sides::unsure));
        }
        add(table, practice, "eligible", counts.eligible());
        add(table, practice, "has", counts.eligibleAndHas());
        add(table, practice, "list", counts.list());
    }

    private static String left(LevelCounts.OfCriterion level, Function<Sides, Integer> side) {
        return level.remaining().map(side).map(String::valueOf).orElse("");
    }

    private static void add(Table table, String practice, String part, Sides sides) {
        table.add(practice, part, "", sides.yes(), sides.unsure(), "", "");
    }
}
