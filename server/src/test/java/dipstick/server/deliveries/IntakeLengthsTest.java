package dipstick.server.deliveries;

import dipstick.intake.describe.Lengths;
import dipstick.server.WrittenFile;
import java.util.Map;
import org.junit.jupiter.api.Test;

class IntakeLengthsTest {
    /** Written by {@code -Dlengths.write=true}. */
    @Test
    void pages_say_the_same_lengths() throws Exception {
        WrittenFile.sameAs("web/src/records/lengths.json", Map.of("source", Lengths.SOURCE), "lengths.write");
    }
}
