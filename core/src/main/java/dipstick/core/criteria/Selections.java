package dipstick.core.criteria;

import java.util.List;
import java.util.stream.Stream;

/** The parts of a test that speak of records. What another set says is left to that set. */
public final class Selections {
    private Selections() {}

    /** A selection and the tests of its events' fields, those of the picked one too. */
    public record Asked(Selection selection, List<FieldTest> tests) {}

    /** The test itself, and all that it is made of. */
    public static Stream<Test> within(Test test) {
        Stream<Test> parts = switch (test) {
            case Test.All all -> all.of().stream();
            case Test.Any any -> any.of().stream();
            case Test.AtLeast some -> some.of().stream();
            case Test.Not not -> Stream.of(not.of());
            case Test.OfField _,
                    Test.Age _,
                    Test.Events _,
                    Test.Pick _,
                    Test.Sequence _,
                    Test.Member _,
                    Test.InRoster _ -> Stream.empty();
        };
        return Stream.concat(Stream.of(test), parts.flatMap(Selections::within));
    }

    /** All that the criteria of a set test; not those that are off. */
    public static Stream<Test> inForce(CriteriaSet set) {
        return set.criteria()
                .filter(criterion -> !criterion.off())
                .map(Criterion::test)
                .flatMap(Selections::within);
    }

    public static Stream<Asked> of(Test test) {
        return within(test).flatMap(Selections::ofOne);
    }

    /** Of the test itself, whatever it is made of. */
    public static Stream<Asked> ofOne(Test test) {
        return switch (test) {
            case Test.Events events -> Stream.of(asked(events.events()));
            case Test.Pick pick ->
                Stream.of(new Asked(
                        pick.events(),
                        Stream.concat(pick.events().where().stream(), pick.is().stream())
                                .toList()));
            case Test.Sequence sequence -> Stream.of(asked(sequence.anchor()), asked(sequence.expect()));
            default -> Stream.empty();
        };
    }

    private static Asked asked(Selection selection) {
        return new Asked(selection, selection.where());
    }
}
