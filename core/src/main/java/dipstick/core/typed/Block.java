package dipstick.core.typed;

import java.util.ArrayList;
import java.util.List;

/** A heading of a set's text and the lines under it. */
record Block(Line heading, List<Line> lines) {
    /**
     * A line, or several that say one thing.
     *
     * @param from where its text begins, in characters of the whole
     */
    record Line(int from, String text) {}

    Block {
        lines = List.copyOf(lines);
    }

    /** Empty lines separate nothing that headings do not. */
    static List<Block> of(String text) {
        List<Block> blocks = new ArrayList<>();
        Line heading = new Line(0, "");
        List<Line> lines = new ArrayList<>();
        int from = 0;
        for (String line : text.split("\n", -1)) {
            boolean listed = line.startsWith("- ");
            if (line.isBlank()) {
                from += line.length() + 1;
                continue;
            }
            if (listed || Character.isWhitespace(line.charAt(0))) {
                add(lines, listed ? new Line(from + 2, line.substring(2)) : new Line(from, line), listed, text);
            } else {
                blocks.add(new Block(heading, lines));
                heading = new Line(from, line);
                lines = new ArrayList<>();
            }
            from += line.length() + 1;
        }
        blocks.add(new Block(heading, lines));
        return blocks.stream().filter(block -> !block.isEmpty()).toList();
    }

    /** What is indented under a listed line goes on with it. */
    private static void add(List<Line> lines, Line line, boolean listed, String text) {
        if (listed || lines.isEmpty() || text.charAt(lines.getFirst().from() - 1) == '\n') {
            lines.add(line);
            return;
        }
        Line before = lines.removeLast();
        lines.add(new Line(
                before.from(),
                text.substring(before.from(), line.from() + line.text().length())));
    }

    private boolean isEmpty() {
        return heading.text().isBlank() && lines.isEmpty();
    }
}
