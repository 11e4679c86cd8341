package dipstick.region.evaluate;

import java.util.List;
import java.util.stream.Stream;

/** What was wrong, a sentence each; nothing was written. */
public final class RegionFaults extends Exception {
    private static final int MOST_TOLD = 50;

    private final List<String> faults;

    private RegionFaults(List<String> faults) {
        super(String.join("\n", faults));
        this.faults = List.copyOf(faults);
    }

    /** @throws RegionFaults where there are any */
    static void check(Stream<String> faults) throws RegionFaults {
        List<String> all = faults.distinct().sorted().toList();
        if (!all.isEmpty()) {
            throw new RegionFaults(all);
        }
    }

    /** The first of them, and how many more there are. */
    public List<String> told() {
        if (faults.size() <= MOST_TOLD) {
            return faults;
        }
        return Stream.concat(
                        faults.stream().limit(MOST_TOLD), Stream.of("And " + (faults.size() - MOST_TOLD) + " more."))
                .toList();
    }
}
