package dipstick.core.criteria;

import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** Where a document names people: in the rows of its rosters, and in tests on the field {@code id} of people. */
public final class NamedPeople {
    private static final String ROSTERS = "rosters";
    private static final String NUMBER = "id";

    /** Tests on fields of records stand here, whose {@code id} is the record's own (criteria.md, section 3). */
    private static final Set<String> OF_RECORDS = Set.of("where", "is");

    private NamedPeople() {}

    /** Whether a document names anybody, so that it must stay where these people are known. */
    public static boolean areIn(JsonNode document) {
        return document.path(ROSTERS)
                        .valueStream()
                        .anyMatch(roster -> !roster.path("rows").isEmpty())
                || tests(document).findAny().isPresent();
    }

    /** The tests on people's own numbers. */
    public static Stream<JsonNode> tests(JsonNode document) {
        return document.propertyStream()
                .filter(part -> !part.getKey().equals(ROSTERS))
                .flatMap(part -> within(part.getValue()));
    }

    private static Stream<JsonNode> within(JsonNode part) {
        Stream<JsonNode> here = part.path("field").asString("").equals(NUMBER) ? Stream.of(part) : Stream.of();
        Stream<JsonNode> inner = part.isArray()
                ? part.valueStream().flatMap(NamedPeople::within)
                : part.propertyStream()
                        .filter(one -> !OF_RECORDS.contains(one.getKey()))
                        .flatMap(one -> within(one.getValue()));
        return Stream.concat(here, inner);
    }
}
