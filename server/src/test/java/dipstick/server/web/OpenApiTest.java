package dipstick.server.web;

import dipstick.server.People;
import dipstick.server.WrittenFile;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** The description of the API in docs is that of the code; the front end's types are made from it. */
class OpenApiTest {
    @Test
    void the_description_in_docs_is_that_of_the_code() throws Exception {
        ObjectNode described =
                (ObjectNode) People.coordinator().get("/v3/api-docs").json();
        // The address is that of this run.
        described.remove("servers");
        WrittenFile.sameAs("docs/openapi.json", described, "openapi.write");
    }
}
