package dipstick.core.things;

import dipstick.core.text.NormalText;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Two lists laid side by side. No row is lost: each is in one of the piles, or in a pair.
 *
 * @param onlyHere rows of this list whose thing the other lacks, by their places
 * @param onlyThere rows of the other list whose thing this one lacks
 * @param same pairs that say the same in all columns that are compared
 * @param differing pairs that do not
 * @param several things that stand in a list more than once, so that nobody can say which row is which
 * @param unknownHere rows of this list whose key is blank
 * @param unknownThere rows of the other list whose key is blank
 */
public record SideBySide(
        List<Integer> onlyHere,
        List<Integer> onlyThere,
        List<Pair> same,
        List<Differing> differing,
        List<Several> several,
        List<Integer> unknownHere,
        List<Integer> unknownThere) {
    private static final char BETWEEN = '\u0000';

    /** A number that is no name: what begins with zeros, or with a plus, is somebody's number or a telephone's. */
    private static final Pattern NUMBER = Pattern.compile("-?(?:0|[1-9]\\d{0,17})(?:\\.\\d{1,18})?");

    /** Rows of the same thing. */
    public record Pair(int here, int there) {}

    public record Differing(Pair rows, List<Difference> differences) {
        public Differing {
            differences = List.copyOf(differences);
        }
    }

    /**
     * A cell that is not the same on both sides.
     *
     * @param compared its place among the columns that are compared
     * @param onlyHere of the things in the cell, those that the other cell lacks; the whole cell where it is not split
     * @param onlyThere of the things in the other cell, those that this one lacks
     */
    public record Difference(int compared, List<String> onlyHere, List<String> onlyThere) {
        public Difference {
            onlyHere = List.copyOf(onlyHere);
            onlyThere = List.copyOf(onlyThere);
        }
    }

    public record Several(List<Integer> here, List<Integer> there) {
        public Several {
            here = List.copyOf(here);
            there = List.copyOf(there);
        }
    }

    /** @throws IllegalArgumentException where a column is not there, or no key is said */
    public static SideBySide of(Things here, Things there, Pairing pairing) {
        if (pairing.key().isEmpty()) {
            throw new IllegalArgumentException("A key has at least one column.");
        }
        int[] keyHere = pairing.key().stream()
                .mapToInt(pair -> place(here, pair.here()))
                .toArray();
        int[] keyThere = pairing.key().stream()
                .mapToInt(pair -> place(there, pair.there()))
                .toArray();
        List<Cells> compared = pairing.compared().stream()
                .map(one -> new Cells(
                        place(here, one.columns().here()),
                        place(there, one.columns().there()),
                        one.split().orElse("")))
                .toList();
        Map<String, Rows> byKey = new LinkedHashMap<>();
        Piles piles = new Piles();
        for (int row = 0; row < here.rows().size(); row++) {
            gather(byKey, key(here.rows().get(row), keyHere), row, true, piles);
        }
        for (int row = 0; row < there.rows().size(); row++) {
            gather(byKey, key(there.rows().get(row), keyThere), row, false, piles);
        }
        byKey.values().forEach(rows -> piles.put(rows, here, there, compared));
        return piles.laid();
    }

    private static int place(Things things, String column) {
        OptionalInt place = things.column(column);
        return place.orElseThrow(() -> new IllegalArgumentException("There is no column “" + column + "”."));
    }

    /** Where a column that is compared stands on each side. */
    private record Cells(int here, int there, String split) {}

    private record Rows(List<Integer> here, List<Integer> there) {}

    private static void gather(Map<String, Rows> byKey, String key, int row, boolean isHere, Piles piles) {
        if (key.isEmpty()) {
            (isHere ? piles.unknownHere : piles.unknownThere).add(row);
            return;
        }
        Rows rows = byKey.computeIfAbsent(key, _ -> new Rows(new ArrayList<>(1), new ArrayList<>(1)));
        (isHere ? rows.here() : rows.there()).add(row);
    }

    /** Empty where all its cells are blank. */
    private static String key(List<String> row, int[] places) {
        StringBuilder key = new StringBuilder();
        boolean isSaid = false;
        for (int place : places) {
            String cell = compared(row.get(place));
            isSaid |= !cell.isEmpty();
            key.append(cell).append(BETWEEN);
        }
        return isSaid ? key.toString() : "";
    }

    /** Text as text is compared, and numbers by value: 4.10 and 4.1 are the same, 007 and 7 are not. */
    private static String compared(String cell) {
        String text = NormalText.of(cell);
        if (text.isEmpty() || !(text.charAt(0) == '-' || Character.isDigit(text.charAt(0)))) {
            return text;
        }
        return NUMBER.matcher(text).matches()
                ? new BigDecimal(text).stripTrailingZeros().toPlainString()
                : text;
    }

    private static final class Piles {
        private final List<Integer> onlyHere = new ArrayList<>();
        private final List<Integer> onlyThere = new ArrayList<>();
        private final List<Pair> same = new ArrayList<>();
        private final List<Differing> differing = new ArrayList<>();
        private final List<Several> several = new ArrayList<>();
        private final List<Integer> unknownHere = new ArrayList<>();
        private final List<Integer> unknownThere = new ArrayList<>();

        void put(Rows rows, Things here, Things there, List<Cells> compared) {
            if (rows.here().size() > 1 || rows.there().size() > 1) {
                several.add(new Several(rows.here(), rows.there()));
            } else if (rows.there().isEmpty()) {
                onlyHere.addAll(rows.here());
            } else if (rows.here().isEmpty()) {
                onlyThere.addAll(rows.there());
            } else {
                Pair pair = new Pair(rows.here().getFirst(), rows.there().getFirst());
                List<Difference> differences =
                        differences(here.rows().get(pair.here()), there.rows().get(pair.there()), compared);
                if (differences.isEmpty()) {
                    same.add(pair);
                } else {
                    differing.add(new Differing(pair, differences));
                }
            }
        }

        private static List<Difference> differences(List<String> here, List<String> there, List<Cells> compared) {
            List<Difference> differences = new ArrayList<>();
            for (int i = 0; i < compared.size(); i++) {
                Cells cells = compared.get(i);
                // Most cells are the same to the letter, which is told at once.
                if (here.get(cells.here()).equals(there.get(cells.there()))) {
                    continue;
                }

                List<String> one = things(here.get(cells.here()), cells.split());
                List<String> other = things(there.get(cells.there()), cells.split());
                List<String> onlyHere = without(one, other);
                List<String> onlyThere = without(other, one);
                if (!onlyHere.isEmpty() || !onlyThere.isEmpty()) {
                    differences.add(new Difference(i, onlyHere, onlyThere));
                }
            }
            return differences;
        }

        private static List<String> things(String cell, String split) {
            Stream<String> parts =
                    split.isEmpty() ? Stream.of(cell) : Arrays.stream(cell.split(Pattern.quote(split), -1));
            return parts.map(NormalText::identifier)
                    .filter(part -> !part.isEmpty())
                    .toList();
        }

        private static List<String> without(List<String> some, List<String> others) {
            List<String> there = others.stream().map(SideBySide::compared).toList();
            return some.stream().filter(one -> !there.contains(compared(one))).toList();
        }

        SideBySide laid() {
            return new SideBySide(onlyHere, onlyThere, same, differing, several, unknownHere, unknownThere);
        }
    }
}
