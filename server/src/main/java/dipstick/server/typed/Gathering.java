package dipstick.server.typed;

import dipstick.core.population.Events;
import dipstick.core.terms.FoundTerm;
import dipstick.core.terms.Terms;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Gathers what is on record under a name into a term set. */
final class Gathering {
    /** The most frequent ones; the others can be added to it. */
    private static final int MOST = 40;

    private final Events events;

    Gathering(Events events) {
        this.events = events;
    }

    /**
     * @param document whose term sets have other ids
     * @return nothing where nothing on record is called so; what was only planned or tried is left out, where there is
     *     something else
     */
    Optional<JsonNode> of(String name, JsonNode document) {
        List<FoundTerm> all = Terms.find(events, name);
        List<FoundTerm> happened = all.stream().filter(FoundTerm::happened).toList();
        List<FoundTerm> found = happened.isEmpty() ? all : happened;
        if (found.isEmpty()) {
            return Optional.empty();
        }
        ObjectNode termSet = JsonNodeFactory.instance
                .objectNode()
                .put("id", id(name, document))
                .put("name", name);
        found.stream()
                .limit(MOST)
                .forEach(term -> termSet.withArray("members").add(term.term().member()));
        return Optional.of(termSet);
    }

    private static String id(String name, JsonNode document) {
        Set<String> taken = document.path("termSets")
                .valueStream()
                .map(one -> one.path("id").asString(""))
                .collect(Collectors.toSet());
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
        return IntStream.iterate(1, i -> i + 1)
                .mapToObj(i -> i == 1 ? plain : plain + "-" + i)
                .filter(id -> !taken.contains(id))
                .findFirst()
                .orElseThrow();
    }
}
