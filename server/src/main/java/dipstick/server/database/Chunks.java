package dipstick.server.database;

import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Long lists cut into as much as goes to the database in one statement. */
public final class Chunks {
    /** H2 takes arrays of up to 65,536. */
    public static final int MOST = 10_000;

    private Chunks() {}

    /** One text of each, as an array that goes to the database. */
    public static <T> String[] texts(List<T> all, Function<T, String> of) {
        return all.stream().map(of).toArray(String[]::new);
    }

    /** The list in pieces, none of them empty. */
    public static <T> Stream<List<T>> of(List<T> all) {
        return IntStream.iterate(0, from -> from < all.size(), from -> from + MOST)
                .mapToObj(from -> all.subList(from, Math.min(all.size(), from + MOST)));
    }
}
