package dipstick.core.criteria;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** Which sets name which others as members, and so which of them go round in a circle. */
public final class MemberReferences {
    private static final List<String> SECTIONS = List.of("include", "exclude", "shouldHave", "bands");

    private final Map<String, Set<String>> namedBy = new HashMap<>();

    MemberReferences(List<CriteriaSource> sources) {
        for (CriteriaSource source : sources) {
            namedBy.computeIfAbsent(source.id(), id -> new HashSet<>()).addAll(namedIn(source.json()));
        }
    }

    /** The ids of the sets that a document names as members. */
    public static Set<String> namedIn(JsonNode document) {
        Set<String> named = new HashSet<>();
        for (String section : SECTIONS) {
            collect(document.path(section), named);
        }
        return named;
    }

    /** Whether naming {@code to} from {@code from} closes a circle. */
    boolean closesCircle(String from, String to) {
        Set<String> reached = new HashSet<>();
        List<String> open = new ArrayList<>(List.of(to));
        while (!open.isEmpty()) {
            String next = open.removeLast();
            if (next.equals(from)) {
                return true;
            }
            if (reached.add(next)) {
                open.addAll(namedBy.getOrDefault(next, Set.of()));
            }
        }
        return false;
    }

    private static void collect(JsonNode json, Set<String> named) {
        if (json.isObject() && json.path("member").isString()) {
            named.add(json.get("member").stringValue());
        }
        json.values().forEach(child -> collect(child, named));
    }
}
