package dipstick.server.region;

import java.util.Comparator;
import java.util.List;

/** So many of so many people. */
record Portion(int part, int of) {
    /** The least first. */
    static final Comparator<Portion> BY_SIZE =
            (one, other) -> Long.compare((long) one.part * other.of, (long) other.part * one.of);

    /** The share that a quarter of them reach or exceed; of at least four. */
    static Portion quarterFrom(List<Portion> shares) {
        List<Portion> sorted = shares.stream().sorted(BY_SIZE.reversed()).toList();
        return sorted.get(quarter(sorted) - 1);
    }

    /** The share that a quarter of them do not exceed; of at least four. */
    static Portion quarterUpTo(List<Portion> shares) {
        List<Portion> sorted = shares.stream().sorted(BY_SIZE).toList();
        return sorted.get(quarter(sorted) - 1);
    }

    private static int quarter(List<Portion> shares) {
        return (shares.size() + 3) / 4;
    }
}
