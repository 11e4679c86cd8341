package dipstick.intake.fhir;

import dipstick.intake.rows.OwnColumn;
import dipstick.intake.rows.OwnRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * The codings of a record (<a href="https://hl7.org/fhir/R4/datatypes.html#CodeableConcept">R4 CodeableConcept</a>): the one
 * that a user chose, or the first, is its code, and all others are further codes.
 */
record Concept(List<Code> codes, String text) {
    static final Concept NONE = new Concept(List.of(), "");

    record Code(String code, String system, String display) {
        static Code of(JsonNode coding) {
            return new Code(
                    plain(coding.path("code").asString("")),
                    plain(coding.path("system").asString("")),
                    coding.path("display").asString(""));
        }

        /** What parts codings in a cell is no part of one. */
        private static String plain(String text) {
            return text.replace(';', ' ').strip();
        }
    }

    Concept {
        codes = List.copyOf(codes);
    }

    /** All that stand at these paths, a coding or a concept with several. */
    static Concept of(JsonNode resource, List<String> paths) {
        List<Code> codes = new ArrayList<>();
        String text = "";
        for (String path : paths) {
            for (JsonNode at : Element.all(resource, path)) {
                List<JsonNode> codings = at.path("code").isValueNode() ? List.of(at) : Element.all(at, "coding");
                codings.stream()
                        .sorted(Comparator.comparing(
                                (JsonNode one) -> !one.path("userSelected").asBoolean(false)))
                        .map(Code::of)
                        .forEach(codes::add);
                text = text.isEmpty() ? at.path("text").asString("") : text;
            }
        }
        return new Concept(codes, text);
    }

    /** In words: its text, or what its first coding is called. */
    String words() {
        return text.isBlank()
                ? codes.stream()
                        .map(Code::display)
                        .filter(display -> !display.isBlank())
                        .findFirst()
                        .orElseGet(() -> codes.isEmpty() ? "" : codes.getFirst().code())
                : text;
    }

    void putInto(OwnRow row) {
        row.put(OwnColumn.TEXT, words());
        List<Code> coded =
                codes.stream().filter(one -> !one.code().isEmpty()).distinct().toList();
        if (!coded.isEmpty()) {
            row.put(OwnColumn.CODE, coded.getFirst().code())
                    .put(OwnColumn.SYSTEM, coded.getFirst().system())
                    .put(
                            OwnColumn.ALSO_CODED,
                            coded.stream()
                                    .skip(1)
                                    .map(one -> one.system().isEmpty() ? one.code() : one.code() + "|" + one.system())
                                    .toList());
        }
    }
}
