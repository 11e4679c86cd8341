package dipstick.server.deliveries;

import java.util.List;

/** Files of other systems to try things with; a real practice has none. */
public interface SampleFiles {
    /** @param what it is, in a few words */
    record Sample(String name, String what, byte[] bytes) {}

    List<Sample> all();
}
