package dipstick.server.deliveries;

import java.util.List;
import java.util.function.Supplier;

/** Files of other systems to try things with; a real practice has none. */
public interface SampleFiles {
    /**
     * @param what it is, in a few words
     * @param bytes made when somebody wants them
     */
    record Sample(String name, String what, Supplier<byte[]> bytes) {}

    List<Sample> all();
}
