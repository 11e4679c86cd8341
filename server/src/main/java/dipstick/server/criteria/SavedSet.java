package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import java.time.Instant;
import tools.jackson.databind.JsonNode;

/** A saved criteria set; its document is the JSON of criteria.md section 4. */
public record SavedSet(String id, String name, String document, int version, Instant changedAt, String changedBy) {
    public JsonNode json() {
        try {
            return CriteriaSource.parse(name, document).json();
        } catch (InvalidCriteria neverSaved) {
            throw new IllegalStateException("The saved set " + id + " is no JSON", neverSaved);
        }
    }
}
