package dipstick.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import dipstick.server.People;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The description of the API in docs is that of the code; the front end's types are made from it. A run with {@code
 * -Dopenapi.write=true} writes it anew.
 */
class OpenApiTest {
    private static final Path DESCRIPTION = Path.of("../docs/openapi.json");

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    @Test
    void the_description_in_docs_is_that_of_the_code() throws Exception {
        ObjectNode described =
                (ObjectNode) People.coordinator().get("/v3/api-docs").json();
        // The address is that of this run.
        described.remove("servers");
        if (Boolean.getBoolean("openapi.write")) {
            Files.writeString(DESCRIPTION, JSON.writeValueAsString(described) + "\n");
        }
        JsonNode written = JSON.readTree(Files.readString(DESCRIPTION));
        assertThat(described).isEqualTo(written);
    }
}
