package dipstick.intake.fhir;

import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** The value of an Observation, or of a part of one, whatever it is (<a href="https://hl7.org/fhir/R4/observation.html">R4</a>). */
final class ResultValue {
    private ResultValue() {}

    static void putInto(OwnRow row, JsonNode observation) {
        JsonNode quantity = observation.path("valueQuantity");
        if (quantity.isObject()) {
            String number = quantity.path("value").asString("");
            row.put(
                            OwnColumn.VALUE,
                            number.isEmpty() ? "" : quantity.path("comparator").asString("") + number)
                    .put(OwnColumn.UNIT, Element.text(quantity, List.of("unit", "code")));
        } else if (observation.has("valueInteger")) {
            row.put(OwnColumn.VALUE, observation.path("valueInteger").asString(""));
        } else {
            row.put(OwnColumn.VALUE_TEXT, words(observation));
        }
    }

    /** Whether there is a value at all. */
    static boolean isIn(JsonNode observation) {
        return observation.properties().stream()
                .anyMatch(field -> field.getKey().startsWith("value"));
    }

    private static String words(JsonNode observation) {
        if (observation.has("valueCodeableConcept")) {
            return Concept.of(observation, List.of("valueCodeableConcept")).words();
        }
        if (observation.has("valueBoolean")) {
            return observation.path("valueBoolean").asBoolean(false) ? "yes" : "no";
        }
        if (observation.has("valueRange")) {
            return quantity(observation.path("valueRange").path("low")) + " - "
                    + quantity(observation.path("valueRange").path("high"));
        }
        if (observation.has("valueRatio")) {
            return quantity(observation.path("valueRatio").path("numerator")) + ":"
                    + quantity(observation.path("valueRatio").path("denominator"));
        }
        return Element.text(
                observation,
                List.of(
                        "valueString",
                        "valueDateTime",
                        "valueTime",
                        "valuePeriod.start",
                        "dataAbsentReason.text",
                        "dataAbsentReason.coding.display",
                        "dataAbsentReason.coding.code"));
    }

    private static String quantity(JsonNode quantity) {
        return (quantity.path("value").asString("") + " " + Element.text(quantity, List.of("unit", "code"))).strip();
    }
}
