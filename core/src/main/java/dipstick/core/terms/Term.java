package dipstick.core.terms;

import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A code, wording or keyword of the records, as it is written there.
 *
 * @param system of a code; empty where it has none, and for wordings and keywords
 */
public record Term(Sort sort, String term, String system) {
    /** What of a record it is. */
    public enum Sort {
        CODE,
        TEXT,
        KEYWORD
    }

    /** As a member of a term set (criteria.md section 4). */
    public ObjectNode member() {
        ObjectNode member = JsonNodeFactory.instance.objectNode();
        switch (sort) {
            case CODE -> {
                member.put("code", term);
                if (!system.isEmpty()) {
                    member.put("system", system);
                }
            }
            case TEXT -> member.put("text", term);
            case KEYWORD -> member.put("keyword", term);
        }
        return member;
    }
}
