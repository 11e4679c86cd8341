package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import java.time.Instant;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A saved criteria set; documents are the JSON of criteria.md section 4.
 *
 * @param name of the draft, where there is one
 * @param document as it was last published; empty where it never was
 * @param version how often it was published
 * @param draft as it is being changed; empty where nothing is
 * @param revision how often anything of it was saved, by which changes that cross each other are told
 * @param retired whether it is out of use: it has no list any more
 */
public record SavedSet(
        String id,
        String name,
        String document,
        int version,
        String draft,
        int revision,
        boolean retired,
        Instant changedAt,
        String changedBy) {
    public boolean isPublished() {
        return version > 0;
    }

    /** Whether it has a list: it is published, and in use. */
    public boolean isInForce() {
        return isPublished() && !retired;
    }

    public boolean hasDraft() {
        return !draft.isEmpty();
    }

    /** What is published; only of a set that is. */
    public JsonNode json() {
        return parse(name, document);
    }

    /** What is being changed, else what is published. */
    public JsonNode latest() {
        return hasDraft() ? parse(name, draft) : json();
    }

    /** The name of its list, for which not all of the document is read: it is asked for by every page. */
    public String publishedName() {
        try (JsonParser parts = JsonMapper.shared().createParser(document)) {
            parts.nextToken();
            while (parts.nextToken() == JsonToken.PROPERTY_NAME) {
                boolean isName = parts.currentName().equals("name");
                if (parts.nextToken() == JsonToken.VALUE_STRING && isName) {
                    return parts.getString();
                }
                parts.skipChildren();
            }
            return id;
        }
    }

    SavedSet with(String newName, String newDocument, int newVersion, String newDraft) {
        return new SavedSet(id, newName, newDocument, newVersion, newDraft, revision, retired, changedAt, changedBy);
    }

    SavedSet retired(boolean newRetired) {
        return new SavedSet(id, name, document, version, draft, revision, newRetired, changedAt, changedBy);
    }

    /** The next revision. */
    SavedSet changed(Instant at, String who) {
        return new SavedSet(id, name, document, version, draft, revision + 1, retired, at, who);
    }

    static JsonNode parse(String name, String document) {
        try {
            return CriteriaSource.parse(name, document).json();
        } catch (InvalidCriteria neverSaved) {
            throw new IllegalStateException("The saved set " + name + " is no JSON", neverSaved);
        }
    }
}
