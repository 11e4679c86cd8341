package dipstick.server.criteria;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Copies of something that sets share, in their documents. A copy that says otherwise is that set's own.
 *
 * @param section of a document in which they stand, such as {@code termSets}
 * @param shared as it stands in a document (criteria.md section 4): an id, a name, and what it holds
 */
public record Copies(String section, ObjectNode shared) {
    /** Whether a set holds one, in what is published or in what is being changed. */
    public boolean areIn(SavedSet set) {
        return (set.isPublished() && areIn(set.json())) || areIn(set.latest());
    }

    private boolean areIn(JsonNode document) {
        return document.path(section).valueStream().anyMatch(this::isOne);
    }

    private boolean isOne(JsonNode one) {
        String id = shared.path("id").asString("");
        return id.equals(one.path("id").asString(""))
                && shared.path("name").asString(id).equals(one.path("name").asString(id))
                && shared.properties().stream()
                        .filter(entry -> !entry.getKey().equals("name"))
                        .allMatch(entry -> entry.getValue().equals(one.path(entry.getKey())));
    }

    /** The document with its copies replaced by another; the same where it has none. */
    public JsonNode replaced(JsonNode document, JsonNode by) {
        if (!areIn(document)) {
            return document;
        }
        ArrayNode copies = JsonNodeFactory.instance.arrayNode();
        document.path(section).forEach(one -> copies.add(isOne(one) ? by : one));
        ObjectNode changed = ((ObjectNode) document).deepCopy();
        changed.set(section, copies);
        return changed;
    }
}
