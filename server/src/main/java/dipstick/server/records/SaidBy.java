package dipstick.server.records;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Which source brought each field of somebody.
 *
 * @param sources by the name of the field; none of a field that no source brought by name
 */
record SaidBy(Map<String, String> sources) {
    static final SaidBy NOBODY = new SaidBy(Map.of());

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<Map<String, String>> TEXTS = new TypeReference<>() {};

    SaidBy {
        sources = Map.copyOf(sources);
    }

    static SaidBy read(String json) {
        return new SaidBy(JSON.readValue(json, TEXTS));
    }

    /** Nothing where nobody brought anything by name. */
    Optional<String> written() {
        return Optional.of(sources)
                .filter(some -> !some.isEmpty())
                .map(some -> JSON.writeValueAsString(new TreeMap<>(some)));
    }

    /** Empty where none brought it by name. */
    String of(String field) {
        return sources.getOrDefault(field, "");
    }
}
