package dipstick.server.termsets;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.server.criteria.Copies;
import java.time.Instant;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A term set that criteria sets share. Each of them holds a copy, so that what a set said at a version stays said.
 *
 * @param members as they stand in a document, as JSON
 * @param leftOut members that were looked at and do not belong, as JSON
 */
record SharedTermSet(
        String id, String name, String members, String leftOut, int version, Instant changedAt, String changedBy) {
    /** As it stands in a document (criteria.md section 4). */
    ObjectNode inDocument() {
        return JsonNodeFactory.instance
                .objectNode()
                .put("id", id)
                .put("name", name)
                .set("members", parse(members));
    }

    JsonNode leftOutAsJson() {
        return parse(leftOut);
    }

    Copies copies() {
        return new Copies("termSets", inDocument());
    }

    private JsonNode parse(String json) {
        try {
            return CriteriaSource.parse(name, json).json();
        } catch (InvalidCriteria neverSaved) {
            throw new IllegalStateException("The saved term set " + id + " is no JSON", neverSaved);
        }
    }
}
