package dipstick.server.criteria;

import tools.jackson.databind.JsonNode;

/** A set was published, within the transaction that does it. */
public record CriteriaPublished(String id, JsonNode document, String who) {}
