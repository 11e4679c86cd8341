package dipstick.core.criteria;

import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Tests that say a lack: no record, at most 0 of them, not so that there is one, a field that is blank. Where something
 * <em>should be on record</em>, such a test lists whoever has it, which is the opposite of what is nearly always meant; here
 * is the test of having it, whose list is of those of whom the lack is true. So any of several lacks turns to having all,
 * and all of them to having any.
 */
public final class Lack {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

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
            case Test.Not(var of) when saysHaving(of) -> Optional.of(of);
            case Test.OfField(FieldTest(var field, Condition.Missing(var missing), var unit))
            when missing -> Optional.of(new Test.OfField(new FieldTest(field, new Condition.Missing(false), unit)));
            case Test.All(var of) -> all(of).map(Test.Any::new);
            case Test.Any(var of) -> all(of).map(Test.All::new);
            case Test.AtLeast(var count, var of) -> all(of).map(turned -> new Test.AtLeast(others(count, of), turned));
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

    /** What "not" makes a lack of: that there is one at all, and nothing about how it is. */
    private static boolean saysHaving(Test test) {
        return switch (test) {
            case Test.Events events -> events.count().equals(Count.ONE_OR_MORE);
            case Test.Sequence after -> after.count().equals(Count.ONE_OR_MORE);
            case Test.Pick pick -> pick.is().isEmpty();
            case Test.OfField field -> field.test().condition().equals(new Condition.Missing(false));
            case Test.All _, Test.Any _, Test.AtLeast _, Test.Not _, Test.Age _, Test.Member _, Test.InRoster _ ->
                false;
        };
    }

    /** Not so many lacks of several are so many of having as these. */
    private static int others(int lacks, List<Test> of) {
        return of.size() - lacks + 1;
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
            case Test.All(var of) -> Optional.of(NODES.objectNode().set("any", parts(written.path("all"), of)));
            case Test.Any(var of) -> Optional.of(NODES.objectNode().set("all", parts(written.path("any"), of)));
            case Test.AtLeast(var count, var of) ->
                Optional.of(
                        NODES.objectNode().put("atLeast", others(count, of)).set("of", parts(written.path("of"), of)));
            case Test.OfField _ -> Optional.of(((ObjectNode) written).deepCopy().put("missing", false));
            case Test.Events _, Test.Sequence _, Test.Pick _, Test.Age _, Test.Member _, Test.InRoster _ -> {
                ObjectNode turned = ((ObjectNode) written).deepCopy();
                turned.remove("count");
                yield Optional.of(turned);
            }
        };
    }

    private static ArrayNode parts(JsonNode written, List<Test> of) {
        ArrayNode parts = NODES.arrayNode();
        for (int i = 0; i < of.size(); i++) {
            turned(written.path(i), of.get(i)).ifPresent(parts::add);
        }
        return parts;
    }
}
