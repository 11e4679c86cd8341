package dipstick.server.sidebyside;

import java.time.Instant;

/**
 * What is laid side by side again and again: where both lists come from, and how they are paired. What stands in them is not
 * kept.
 *
 * @param document as JSON
 */
record SavedComparison(String id, String name, String document, int version, Instant changedAt, String changedBy) {}
