package dipstick.server.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lines at the size at which they fit into an area.
 *
 * @param size of the letters, in points
 */
public record Fitted(List<String> lines, double size) {
    private static final double STEP = 0.5;

    /** From one line to the next, as a part of the size. */
    static final double LEADING = 1.25;

    public Fitted {
        lines = List.copyOf(lines);
    }

    /**
     * Room for some lines, in points.
     *
     * @param largest size of the letters, and {@code smallest} that can be read well
     */
    record Area(double width, double height, double largest, double smallest) {}

    /** As large as they fit, broken into more lines where they must be; nothing where they fit nowhere. */
    static Optional<Fitted> into(Area area, List<String> lines, Typefaces faces) {
        for (double size = area.largest(); size >= area.smallest(); size -= STEP) {
            Optional<List<String>> broken = broken(lines, area.width(), size, faces);
            double leading = size * LEADING;
            if (broken.filter(all -> all.size() * leading <= area.height()).isPresent()) {
                return Optional.of(new Fitted(broken.get(), size));
            }
        }
        return Optional.empty();
    }

    /** Nothing where a word is wider than the area. */
    private static Optional<List<String>> broken(List<String> lines, double width, double size, Typefaces faces) {
        List<String> all = new ArrayList<>();
        for (String line : lines) {
            StringBuilder current = new StringBuilder();
            for (String word : line.strip().split("\\s+")) {
                if (faces.width(word, size) > width) {
                    return Optional.empty();
                }
                String longer = current.isEmpty() ? word : current + " " + word;
                if (faces.width(longer, size) > width) {
                    all.add(current.toString());
                    current = new StringBuilder(word);
                } else {
                    current = new StringBuilder(longer);
                }
            }
            all.add(current.toString());
        }
        return Optional.of(all);
    }
}
