package dipstick.core.criteria;

import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A document as JSON, not yet read.
 *
 * @param name how a person knows it: a file's name, or the set's id
 */
public record CriteriaSource(String name, JsonNode json) {
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /** Reads the text of a document; throws where it is not JSON, with the line. */
    public static CriteriaSource parse(String name, String text) throws InvalidCriteria {
        try {
            String unmarked = text.startsWith("\uFEFF") ? text.substring(1) : text;
            JsonNode json = JSON.readTree(unmarked);
            if (json.isMissingNode()) {
                throw new InvalidCriteria(Map.of(name, List.of(new Problem("", "the document is empty."))));
            }
            return new CriteriaSource(name, json);
        } catch (StreamConstraintsException tooMuch) {
            String message = "the document is nested more than 500 deep, or holds a text or number that is too long.";
            throw new InvalidCriteria(Map.of(name, List.of(new Problem("", message))));
        } catch (JacksonException notJson) {
            TokenStreamLocation at = notJson.getLocation();
            String where = at == null ? "" : "line " + at.getLineNr() + ", column " + at.getColumnNr() + ": ";
            throw new InvalidCriteria(Map.of(
                    name, List.of(new Problem("", where + "this is not JSON: " + notJson.getOriginalMessage()))));
        }
    }

    /** The id that the document gives itself; empty where it gives none. */
    public String id() {
        return json.isObject() && json.path("id").isString() ? json.get("id").stringValue() : "";
    }
}
