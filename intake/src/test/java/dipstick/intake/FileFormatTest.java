package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.intake.describe.FileFormat;
import dipstick.intake.describe.IntakeDocument;
import java.util.Arrays;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

class FileFormatTest {
    @Test
    void an_intake_may_name_each() {
        assertThat(JsonMapper.shared().readTree(IntakeDocument.schema()).at("/properties/table/properties/format/enum"))
                .extracting(name -> name.asString())
                .containsExactlyElementsOf(Arrays.stream(FileFormat.values())
                        .map(format -> format.name().toLowerCase(Locale.ROOT))
                        .toList());
    }

    @Test
    void no_two_end_alike() {
        assertThat(FileFormat.allEndings()).doesNotHaveDuplicates().contains("csv", "ndjson", "zip");
    }
}
