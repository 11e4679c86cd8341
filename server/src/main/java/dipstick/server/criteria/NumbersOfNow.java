package dipstick.server.criteria;

import dipstick.core.text.NormalText;
import dipstick.server.records.OtherNumbers;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

    /** Tests on fields of records stand here, whose {@code id} is the record's own (criteria.md, section 3). */
    private static final Set<String> OF_RECORDS = Set.of("where", "is");

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
        Stream<Place> criteria = document.propertyStream()
                .filter(part -> !part.getKey().equals("rosters"))
                .flatMap(part -> inTests(part.getValue()));
        return Stream.concat(rosters, criteria);
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

    private static Stream<Place> inTests(JsonNode part) {
        Stream<Place> here = part.path("field").asString("").equals(NUMBER)
                ? Stream.of(part.path("in"), part.path("notIn"))
                        .filter(ArrayNode.class::isInstance)
                        .map(ArrayNode.class::cast)
                        .flatMap(values -> IntStream.range(0, values.size()).mapToObj(at -> new Place(values, at)))
                : Stream.of();
        Stream<Place> within = part.isArray()
                ? part.valueStream().flatMap(NumbersOfNow::inTests)
                : part.propertyStream()
                        .filter(inner -> !OF_RECORDS.contains(inner.getKey()))
                        .flatMap(inner -> inTests(inner.getValue()));
        return Stream.concat(here, within);
    }
}
