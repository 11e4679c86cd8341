package dipstick.server.criteria;

import dipstick.core.text.NormalText;
import dipstick.server.records.OtherNumbers;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/** Rosters name people by the numbers that they had when they were written; they mean whoever goes on under another now. */
@Component
class RosterNumbers {
    private final OtherNumbers numbers;

    RosterNumbers(OtherNumbers numbers) {
        this.numbers = numbers;
    }

    /** The document as it is, or a copy whose rosters name people by their numbers of now. */
    JsonNode ofNow(JsonNode document) {
        boolean byNumber = document.path("rosters").valueStream().anyMatch(roster -> placeOfNumber(roster) >= 0);
        Map<String, String> goesOnAs = byNumber ? numbers.all() : Map.of();
        if (goesOnAs.isEmpty()) {
            return document;
        }
        JsonNode copy = document.deepCopy();
        for (JsonNode roster : copy.path("rosters")) {
            int place = placeOfNumber(roster);
            if (place >= 0) {
                roster.path("rows").valueStream().forEach(row -> rewrite(row, place, goesOnAs));
            }
        }
        return copy;
    }

    private static void rewrite(JsonNode row, int place, Map<String, String> goesOnAs) {
        String number = NormalText.identifier(row.path(place).asString(""));
        if (row instanceof ArrayNode cells && goesOnAs.containsKey(number)) {
            cells.set(place, goesOnAs.get(number));
        }
    }

    /** Which cell of a row is the person's number; below zero where none is. */
    private static int placeOfNumber(JsonNode roster) {
        return roster.path("key")
                .valueStream()
                .map(field -> field.asString(""))
                .toList()
                .indexOf("id");
    }
}
