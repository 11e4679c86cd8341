package dipstick.server.deliveries;

import dipstick.intake.describe.FileFormat;
import dipstick.server.WrittenFile;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class FileFormatsTest {
    private record Standard(String name, List<String> endings) {}

    private record Told(List<String> endings, List<Standard> standards) {}

    /** Written by {@code -Dformats.write=true}. */
    @Test
    void pages_take_the_files_that_can_be_read() throws Exception {
        List<Standard> standards = Arrays.stream(FileFormat.values())
                .filter(format -> format != FileFormat.TABLE)
                .map(format -> new Standard(format.shortName(), format.endings()))
                .toList();
        WrittenFile.sameAs(
                "web/src/records/formats.json", new Told(FileFormat.allEndings(), standards), "formats.write");
    }
}
