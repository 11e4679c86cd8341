package dipstick.intake.fhir;

import dipstick.core.records.EventRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the statuses of FHIR are here ({@code fhir-statuses.json}, shown in {@code docs/intakes.md}). What is wrong, or did
 * not happen, gets the one status that never counts (criteria.md section 1), and keeps its own word as a keyword.
 */
final class Statuses {
    private static final Map<String, Map<String, String>> TABLE = read();

    private static final String NEVER = "never";

    private Statuses() {}

    /**
     * @param ours the status of the record; blank where nothing is said
     * @param keyword the word of FHIR where ours says less; else blank
     */
    record Status(String ours, String keyword) {
        private static final Status UNKNOWN = new Status("", "");
    }

    static Status of(RecordShape shape, JsonNode resource) {
        return shape == RecordShape.CONDITION
                ? ofCondition(resource)
                : ours(shape, resource.path("status").asString(""));
    }

    /** A condition that is not there does not count, whatever is said of its course. */
    private static Status ofCondition(JsonNode condition) {
        Status verified = ours(RecordShape.CONDITION, Element.text(condition, "verificationStatus.coding.code"));
        if (verified.ours().equals(EventRecord.ENTERED_IN_ERROR)) {
            return verified;
        }
        String course = Element.text(condition, "clinicalStatus.coding.code");
        boolean over = condition.has("abatementAge")
                || condition.has("abatementString")
                || condition.has("abatementRange")
                || condition.path("abatementBoolean").asBoolean(false);
        return ours(RecordShape.CONDITION, course.isEmpty() && over ? "resolved" : course);
    }

    /** A word that FHIR does not have is kept as it is. */
    private static Status ours(RecordShape shape, String theirs) {
        Map<String, String> known = TABLE.getOrDefault(shape.resource(), Map.of());
        String ours = known.getOrDefault(theirs, isNoWord(shape, theirs) ? "" : theirs);
        if (ours.equals(NEVER)) {
            return new Status(EventRecord.ENTERED_IN_ERROR, theirs.equals(EventRecord.ENTERED_IN_ERROR) ? "" : theirs);
        }
        return ours.isEmpty() ? Status.UNKNOWN : new Status(ours, "");
    }

    /** Words that say that nothing is known, and those of verification that say nothing of the course. */
    private static boolean isNoWord(RecordShape shape, String theirs) {
        return theirs.equals("unknown")
                || (shape == RecordShape.CONDITION
                        && Set.of("confirmed", "provisional", "differential", "unconfirmed")
                                .contains(theirs));
    }

    private static Map<String, Map<String, String>> read() {
        try (InputStream table = Statuses.class.getResourceAsStream("/dipstick/intake/fhir-statuses.json")) {
            if (table == null) {
                throw new IllegalStateException("fhir-statuses.json was not packaged");
            }
            Map<String, Map<String, String>> statuses = new HashMap<>();
            JsonMapper.shared().readTree(table).properties().forEach(resource -> {
                Map<String, String> words = new HashMap<>();
                resource.getValue()
                        .properties()
                        .forEach(
                                word -> words.put(word.getKey(), word.getValue().asString()));
                statuses.put(resource.getKey(), Map.copyOf(words));
            });
            return Map.copyOf(statuses);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }
}
