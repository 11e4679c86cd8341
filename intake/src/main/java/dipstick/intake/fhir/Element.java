package dipstick.intake.fhir;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Finds elements of a resource by their path, whether they repeat or not. */
final class Element {
    private Element() {}

    /** All at a path such as {@code performer.actor}, in their order. */
    static List<JsonNode> all(JsonNode from, String path) {
        int end = path.indexOf('.');
        JsonNode next = from.path(end < 0 ? path : path.substring(0, end));
        if (next.isMissingNode() || next.isNull()) {
            return List.of();
        }
        if (end < 0 && !next.isArray()) {
            return List.of(next);
        }
        List<JsonNode> found = new ArrayList<>();
        for (JsonNode one : next.isArray() ? next : List.of(next)) {
            if (end < 0) {
                found.add(one);
            } else {
                found.addAll(all(one, path.substring(end + 1)));
            }
        }
        return found;
    }

    static Optional<JsonNode> first(JsonNode from, String path) {
        return all(from, path).stream().findFirst();
    }

    /** The first of these that holds a text or a number, as text; else blank. */
    static String text(JsonNode from, List<String> paths) {
        for (String path : paths) {
            for (JsonNode node : all(from, path)) {
                String text = node.isValueNode() ? node.asString("") : "";
                if (!text.isBlank()) {
                    return text;
                }
            }
        }
        return "";
    }

    static String text(JsonNode from, String path) {
        return text(from, List.of(path));
    }
}
