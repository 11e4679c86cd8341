package dipstick.region.evaluate;

import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.node.ObjectNode;

/** Who is eligible, has it and is on the list, day by day. */
final class RibbonFiles {
    private static final List<String> PARTS = List.of("eligible", "has", "list");
    private static final List<String> SIDES = List.of("yes", "unsure");

    private RibbonFiles() {}

    /**
     * A line for each day: of all together first, where no practice is named, then of each.
     *
     * @param hideBelow the least number of people that is told; 0 where all are
     */
    static void write(Question question, Map<String, PartAnswer> practices, int hideBelow, OutFiles out)
            throws IOException {
        PartAnswer together = PartAnswer.all(practices.values());
        List<ObjectNode> all = new ArrayList<>();
        Map<String, List<ObjectNode>> each = new TreeMap<>();
        for (int day = 0; day < question.asOf().size(); day++) {
            List<ObjectNode> ofDay = new ArrayList<>();
            for (Map.Entry<String, PartAnswer> practice : practices.entrySet()) {
                ObjectNode levels = LevelFiles.node(question, practice.getValue(), day);
                ofDay.add(levels);
                each.computeIfAbsent(practice.getKey(), _ -> new ArrayList<>()).add(levels);
            }
            all.add(LevelFiles.node(question, together, day));
            SmallNumbers.hide(hideBelow, all.getLast(), ofDay);
        }
        Table table = new Table(
                "practice",
                "as_of",
                "eligible_yes",
                "eligible_unsure",
                "has_yes",
                "has_unsure",
                "list_yes",
                "list_unsure");
        add(table, "", all);
        each.forEach((name, days) -> add(table, name, days));
        out.put("ribbon.csv", table.csv());
    }

    private static void add(Table table, String practice, List<ObjectNode> days) {
        for (ObjectNode day : days) {
            List<Object> cells =
                    new ArrayList<>(List.of(practice, day.get("asOf").asString()));
            PARTS.forEach(part -> SIDES.forEach(
                    side -> cells.add(LevelFiles.number(day.path(part).path(side)))));
            table.add(cells.toArray());
        }
    }
}
