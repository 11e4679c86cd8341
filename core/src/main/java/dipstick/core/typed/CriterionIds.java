package dipstick.core.typed;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Gives criteria that were read from text the ids of those whose place they take, so that levels are compared. */
final class CriterionIds {
    private static final List<String> SECTIONS = List.of("/include", "/exclude", "/shouldHave/of");

    private final JsonNode current;
    private final Set<String> given = new HashSet<>();

    CriterionIds(JsonNode current) {
        this.current = current;
    }

    /** The id of what stood at the same place where it is the same test, else of the same test, else of the place. */
    void giveTo(JsonNode document) {
        giveTo(document, place -> Stream.of(current.at(place)).filter(old -> isSame(old, document.at(place))));
        giveTo(document, place -> criteria(current).filter(old -> isSame(old, document.at(place))));
        giveTo(document, place -> Stream.of(current.at(place)));
        for (JsonNode criterion :
                criteria(document).filter(one -> !one.has("id")).toList()) {
            String id = firstFree("criterion", given);
            given.add(id);
            ((ObjectNode) criterion).put("id", id);
        }
    }

    private void giveTo(JsonNode document, Function<String, Stream<JsonNode>> candidates) {
        for (String section : SECTIONS) {
            for (int i = 0; i < document.at(section).size(); i++) {
                String place = section + "/" + i;
                if (document.at(place) instanceof ObjectNode criterion && !criterion.has("id")) {
                    candidates
                            .apply(place)
                            .map(old -> old.path("id").asString(""))
                            .filter(id -> !id.isEmpty() && given.add(id))
                            .findFirst()
                            .ifPresent(id -> criterion.put("id", id));
                }
            }
        }
    }

    private static boolean isSame(JsonNode old, JsonNode criterion) {
        return old.path("test").equals(criterion.path("test"));
    }

    private static Stream<JsonNode> criteria(JsonNode document) {
        return SECTIONS.stream().flatMap(section -> document.at(section).valueStream());
    }

    static String firstFree(String word, Set<String> taken) {
        return taken.contains(word)
                ? IntStream.iterate(2, i -> i + 1)
                        .mapToObj(i -> word + "-" + i)
                        .filter(id -> !taken.contains(id))
                        .findFirst()
                        .orElseThrow()
                : word;
    }
}
