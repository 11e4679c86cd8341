package dipstick.region.records;

/** Something about a file or a folder for which nothing is written, as a sentence for a person. */
public final class RegionFault extends RuntimeException {
    public RegionFault(String file, String reason) {
        super(file + ": " + reason);
    }
}
