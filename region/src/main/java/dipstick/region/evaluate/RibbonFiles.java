package dipstick.region.evaluate;

import dipstick.core.evaluate.LevelCounts;
import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import java.io.IOException;
import java.util.Map;

/** Who is eligible, has it and is on the list, day by day. */
final class RibbonFiles {
    private RibbonFiles() {}

    /** A line for each day: of all together first, where no practice is named, then of each. */
    static void write(Question question, Map<String, PartAnswer> practices, OutFiles out) throws IOException {
        Table table = new Table(
                "practice",
                "as_of",
                "eligible_yes",
                "eligible_unsure",
                "has_yes",
                "has_unsure",
                "list_yes",
                "list_unsure");
        add(
                table,
                "",
                question,
                practices.values().stream().reduce(PartAnswer::plus).orElseThrow());
        practices.forEach((name, answer) -> add(table, name, question, answer));
        out.put("ribbon.csv", table.csv());
    }

    private static void add(Table table, String practice, Question question, PartAnswer answer) {
        for (int day = 0; day < question.asOf().size(); day++) {
            LevelCounts counts = answer.levels().get(day);
            table.add(
                    practice,
                    question.asOf().get(day),
                    counts.eligible().yes(),
                    counts.eligible().unsure(),
                    counts.eligibleAndHas().yes(),
                    counts.eligibleAndHas().unsure(),
                    counts.list().yes(),
                    counts.list().unsure());
        }
    }
}
