package dipstick.region.evaluate;

import picocli.CommandLine.Option;

/** How small a number of people may be to be told. */
final class Hiding {
    @Option(
            names = "--hide-below",
            paramLabel = "N",
            description = "Hides numbers of 1 to N-1 people, and those by which they could be worked out.")
    private int below;

    /** The least number of people that is told; 0 where all are. */
    int below() {
        return below;
    }
}
