package dipstick.intake.fhir;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * The numbers of a Patient: the first of its identifiers, a medical record number before others, or its id where it has
 * none.
 *
 * @param identifier blank where it has none
 */
record Numbers(String identifier, String id, List<String> others) {
    private static final String RECORD_NUMBER = "MR";

    Numbers {
        others = List.copyOf(others);
    }

    /** @param fullUrl its address in a Bundle, or blank */
    static Numbers of(JsonNode patient, String fullUrl) {
        List<String> identifiers = Element.all(patient, "identifier").stream()
                .filter(one -> !one.path("use").asString("").equals("old"))
                .sorted(Comparator.comparing((JsonNode one) -> !isRecordNumber(one)))
                .map(one -> one.path("value").asString("").strip())
                .filter(value -> !value.isEmpty())
                .distinct()
                .toList();
        String own = patient.path("id").asString("");
        String id = own.isEmpty()
                ? fullUrl.substring(Math.max(fullUrl.lastIndexOf('/'), fullUrl.lastIndexOf(':')) + 1)
                : own;
        List<String> others = new ArrayList<>(identifiers.stream().skip(1).toList());
        if (!identifiers.isEmpty() && !id.isEmpty() && !identifiers.contains(id)) {
            others.add(id);
        }
        return new Numbers(identifiers.isEmpty() ? "" : identifiers.getFirst(), id, others);
    }

    private static boolean isRecordNumber(JsonNode identifier) {
        return Element.all(identifier, "type.coding.code").stream()
                .anyMatch(code -> code.asString("").equals(RECORD_NUMBER));
    }

    String number() {
        return identifier.isEmpty() ? id : identifier;
    }
}
