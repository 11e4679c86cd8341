package dipstick.server.criteria;

import java.time.Instant;
import tools.jackson.databind.JsonNode;

/** What a set said when it was published, and why that was done. */
record PublishedVersion(
        String id, String name, String document, int version, String note, Instant changedAt, String changedBy) {
    JsonNode json() {
        return SavedSet.parse(name, document);
    }
}
