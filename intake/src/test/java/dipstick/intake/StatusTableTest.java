package dipstick.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The documented statuses of FHIR are those that are used. */
class StatusTableTest {
    @Test
    void each_word_of_each_resource_is_documented_as_what_it_becomes() throws IOException {
        String documented = Files.readString(Path.of("../docs/intakes.md"));
        JsonNode used;
        try (InputStream table = StatusTableTest.class.getResourceAsStream("/dipstick/intake/fhir-statuses.json")) {
            used = JsonMapper.shared().readTree(table);
        }
        assertThat(used.size()).isEqualTo(11);
        used.properties().forEach(resource -> {
            String row = documented
                    .lines()
                    .filter(line -> line.startsWith("| " + resource.getKey() + " |"))
                    .findFirst()
                    .orElse("");
            resource.getValue().properties().forEach(word -> {
                String ours = word.getValue().asString().replace("never", "entered-in-error");
                assertThat(row)
                        .as(resource.getKey() + " " + word.getKey())
                        .containsPattern("(\\| |; |, )" + word.getKey() + "(, [a-z, -]*)? → " + ours + "( \\||;)");
            });
        });
    }
}
