package dipstick.server.criteria;

import dipstick.core.criteria.NamedPeople;
import dipstick.core.text.NormalText;
import dipstick.server.records.OtherNumbers;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;

/**
 * A document names people by the numbers that they had when it was written, in rosters and in criteria on the field
 * {@code id}; it means whoever goes on under another now.
 */
@Component
class NumbersOfNow {
    private static final String NUMBER = "id";

    private final OtherNumbers numbers;

    NumbersOfNow(OtherNumbers numbers) {
        this.numbers = numbers;
    }

    /** Where a person's number stands. */
    private record Place(ArrayNode cells, int at) {
        void rewrite(Map<String, String> goesOnAs) {
            String number = NormalText.identifier(cells.path(at).asString(""));
            if (goesOnAs.containsKey(number)) {
                cells.set(at, goesOnAs.get(number));
            }
        }
    }

    /** The document as it is, or a copy that names people by their numbers of now. */
    JsonNode ofNow(JsonNode document) {
        Map<String, String> goesOnAs = places(document).findAny().isPresent() ? numbers.all() : Map.of();
        if (goesOnAs.isEmpty()) {
            return document;
        }
        JsonNode copy = document.deepCopy();
        places(copy).toList().forEach(place -> place.rewrite(goesOnAs));
        return copy;
    }

    private static Stream<Place> places(JsonNode document) {
        Stream<Place> rosters = document.path("rosters").valueStream().flatMap(NumbersOfNow::inRoster);
        return Stream.concat(rosters, NamedPeople.tests(document).flatMap(NumbersOfNow::inTest));
    }

    private static Stream<Place> inRoster(JsonNode roster) {
        List<String> key = roster.path("key")
                .valueStream()
                .map(field -> field.asString(""))
                .toList();
        int place = key.indexOf(NUMBER);
        return place < 0
                ? Stream.of()
                : roster.path("rows")
                        .valueStream()
                        .filter(ArrayNode.class::isInstance)
                        .map(row -> new Place((ArrayNode) row, place));
    }

    private static Stream<Place> inTest(JsonNode test) {
        return Stream.of(test.path("in"), test.path("notIn"))
                .filter(ArrayNode.class::isInstance)
                .map(ArrayNode.class::cast)
                .flatMap(values -> IntStream.range(0, values.size()).mapToObj(at -> new Place(values, at)));
    }
}
