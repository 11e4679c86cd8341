package dipstick.server.sidebyside;

import dipstick.core.things.Pairing;
import dipstick.core.things.SideBySide;
import dipstick.core.things.Things;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What can be seen of two lists that are laid side by side, each as a table. */
enum Pile {
    ONLY_HERE,
    ONLY_THERE,
    DIFFERING,
    SAME,
    SEVERAL,
    UNKNOWN_HERE,
    UNKNOWN_THERE;

    /** A header, and the rows below it from which some are taken. */
    record Table(List<String> header, int size, IntFunction<List<String>> row) {
        Stream<List<String>> rows(int from, int most) {
            return IntStream.range(Math.min(from, size), (int) Math.min((long) from + most, size))
                    .mapToObj(row);
        }
    }

    Table of(Laid laid) {
        SideBySide result = laid.result();
        return switch (this) {
            case ONLY_HERE -> rows(laid.here().things(), result.onlyHere());
            case ONLY_THERE -> rows(laid.there().things(), result.onlyThere());
            case UNKNOWN_HERE -> rows(laid.here().things(), result.unknownHere());
            case UNKNOWN_THERE -> rows(laid.there().things(), result.unknownThere());
            case SAME ->
                rows(
                        laid.here().things(),
                        result.same().stream().map(SideBySide.Pair::here).toList());
            case DIFFERING -> differing(laid);
            case SEVERAL -> several(laid);
        };
    }

    private static Table rows(Things things, List<Integer> rows) {
        return new Table(things.columns(), rows.size(), i -> things.rows().get(rows.get(i)));
    }

    /** A row for each cell that is not the same. */
    private static Table differing(Laid laid) {
        List<List<String>> rows = new ArrayList<>();
        for (SideBySide.Differing one : laid.result().differing()) {
            List<String> key = key(laid, one.rows().here(), true);
            for (SideBySide.Difference difference : one.differences()) {
                Pairing.Compared compared = laid.pairing().compared().get(difference.compared());
                String between =
                        compared.split().map(split -> split.strip() + " ").orElse(" ");
                rows.add(join(
                        key,
                        compared.columns().here(),
                        String.join(between, difference.onlyHere()),
                        String.join(between, difference.onlyThere())));
            }
        }
        List<String> header = join(
                keyHeader(laid),
                "Column",
                "Only in " + laid.here().name(),
                "Only in " + laid.there().name());
        return new Table(header, rows.size(), rows::get);
    }

    private static Table several(Laid laid) {
        List<SideBySide.Several> several = laid.result().several();
        List<String> header = join(
                keyHeader(laid),
                "Rows in " + laid.here().name(),
                "Rows in " + laid.there().name());
        return new Table(header, several.size(), i -> {
            SideBySide.Several one = several.get(i);
            List<String> key = one.here().isEmpty()
                    ? key(laid, one.there().getFirst(), false)
                    : key(laid, one.here().getFirst(), true);
            return join(
                    key,
                    String.valueOf(one.here().size()),
                    String.valueOf(one.there().size()));
        });
    }

    private static List<String> keyHeader(Laid laid) {
        return laid.pairing().key().stream().map(Pairing.Pair::here).toList();
    }

    private static List<String> key(Laid laid, int row, boolean isHere) {
        Things things = (isHere ? laid.here() : laid.there()).things();
        return laid.pairing().key().stream()
                .map(pair -> things.column(isHere ? pair.here() : pair.there()).orElseThrow())
                .map(place -> things.rows().get(row).get(place))
                .toList();
    }

    private static List<String> join(List<String> key, String... more) {
        List<String> row = new ArrayList<>(key);
        Collections.addAll(row, more);
        return List.copyOf(row);
    }
}
