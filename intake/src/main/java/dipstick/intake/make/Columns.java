package dipstick.intake.make;

import dipstick.core.text.NormalText;
import dipstick.intake.rows.Cell;
import dipstick.intake.rows.Row;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** The columns of a table by the names in its header, which are compared as text is. */
public final class Columns {
    private final List<String> names;
    private final Map<String, Integer> places = new HashMap<>();

    private Columns(List<String> names) {
        this.names = names;
        for (int i = 0; i < names.size(); i++) {
            places.putIfAbsent(NormalText.of(names.get(i)), i);
        }
        places.remove("");
    }

    /**
     * The names of a header. Over two lines the upper one names groups: each name goes on to the right until the next.
     * A name that stands twice is told apart by its place: the second “Date” is “Date (2)”.
     */
    public static Columns of(Row header, Optional<Row> lower) {
        int width = Math.max(
                header.cells().size(), lower.map(row -> row.cells().size()).orElse(0));
        List<String> names = new ArrayList<>();
        Map<String, Integer> seen = new HashMap<>();
        String group = "";
        for (int i = 0; i < width; i++) {
            String upper = text(header, i);
            group = upper.isEmpty() ? group : upper;
            String own = lower.isEmpty() ? upper : joined(group, text(lower.get(), i));
            int times = own.isEmpty() ? 1 : seen.merge(NormalText.of(own), 1, Integer::sum);
            names.add(times == 1 ? own : own + " (" + times + ")");
        }
        while (!names.isEmpty() && names.getLast().isEmpty()) {
            names.removeLast();
        }
        return new Columns(List.copyOf(names));
    }

    private static String text(Row row, int column) {
        Cell cell = row.at(column);
        return cell.text().replaceAll("\\s+", " ");
    }

    private static String joined(String group, String own) {
        return own.isEmpty() || group.equals(own) ? group : group.isEmpty() ? own : group + " " + own;
    }

    /** As written, those without a name empty. */
    public List<String> names() {
        return names;
    }

    public OptionalInt find(String name) {
        Integer place = places.get(NormalText.of(name));
        return place == null ? OptionalInt.empty() : OptionalInt.of(place);
    }

    /** How many of these names it has. */
    public long count(List<String> wanted) {
        return wanted.stream().filter(name -> find(name).isPresent()).count();
    }
}
