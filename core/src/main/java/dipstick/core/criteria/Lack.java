package dipstick.core.criteria;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Tests that say a lack of records: none of them, at most 0, or not so that there is one. Where something <em>should be on
 * record</em>, such a test lists whoever has it, which is the opposite of what is nearly always meant; here is the test of
 * having it, whose list is of those without.
 */
public final class Lack {
    private Lack() {}

    /** The test of having what this one says a lack of; nothing where it says no lack. */
    public static Optional<Test> turned(Test test) {
        return switch (test) {
            case Test.Events events
            when events.count().most() == 0 ->
                Optional.of(new Test.Events(events.events(), Count.ONE_OR_MORE, events.per()));
            case Test.Sequence after
            when after.count().most() == 0 ->
                Optional.of(new Test.Sequence(
                        after.anchor(),
                        after.pick(),
                        after.expect(),
                        after.notBefore(),
                        after.within(),
                        Count.ONE_OR_MORE,
                        after.per()));
            case Test.Not(var of) when isOfRecords(of) -> Optional.of(of);
            case Test.All(var of) -> all(of).map(Test.All::new);
            case Test.Any(var of) -> all(of).map(Test.Any::new);
            case Test.AtLeast(var count, var of) -> all(of).map(turned -> new Test.AtLeast(count, turned));
            case Test.Events _,
                    Test.Sequence _,
                    Test.Not _,
                    Test.Pick _,
                    Test.OfField _,
                    Test.Age _,
                    Test.Member _,
                    Test.InRoster _ -> Optional.empty();
        };
    }

    /** What "not" makes a lack of. */
    private static boolean isOfRecords(Test test) {
        return switch (test) {
            case Test.Events events -> !events.count().hasMost();
            case Test.Sequence after -> !after.count().hasMost();
            case Test.Pick _ -> true;
            case Test.All _,
                    Test.Any _,
                    Test.AtLeast _,
                    Test.Not _,
                    Test.OfField _,
                    Test.Age _,
                    Test.Member _,
                    Test.InRoster _ -> false;
        };
    }

    /** Only where every part says a lack: one of several may be meant. */
    private static Optional<List<Test>> all(List<Test> parts) {
        List<Test> turned =
                parts.stream().flatMap(part -> turned(part).stream()).toList();
        return parts.isEmpty() || turned.size() < parts.size() ? Optional.empty() : Optional.of(turned);
    }

    /** The same of a test as it stands in a document, dials and all. */
    public static Optional<ObjectNode> turned(JsonNode written, Test test) {
        if (turned(test).isEmpty() || !written.isObject()) {
            return Optional.empty();
        }
        return switch (test) {
            case Test.Not _ -> Optional.of((ObjectNode) written.path("not"));
            case Test.All(var of) -> parts(written, "all", of);
            case Test.Any(var of) -> parts(written, "any", of);
            case Test.AtLeast(var _, var of) -> parts(written, "of", of);
            case Test.Events _,
                    Test.Sequence _,
                    Test.Pick _,
                    Test.OfField _,
                    Test.Age _,
                    Test.Member _,
                    Test.InRoster _ -> {
                ObjectNode turned = ((ObjectNode) written).deepCopy();
                turned.remove("count");
                yield Optional.of(turned);
            }
        };
    }

    private static Optional<ObjectNode> parts(JsonNode written, String key, List<Test> of) {
        List<ObjectNode> parts = new ArrayList<>();
        for (int i = 0; i < of.size(); i++) {
            turned(written.path(key).path(i), of.get(i)).ifPresent(parts::add);
        }
        ArrayNode turned = JsonNodeFactory.instance.arrayNode();
        parts.forEach(turned::add);
        ObjectNode group = ((ObjectNode) written).deepCopy();
        group.set(key, turned);
        return Optional.of(group);
    }
}
