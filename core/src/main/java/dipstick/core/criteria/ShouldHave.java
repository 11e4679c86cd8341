package dipstick.core.criteria;

import java.util.List;

/** What should be on record, and how much of it is enough. */
public record ShouldHave(Rule rule, List<Criterion> of) {
    public ShouldHave {
        of = List.copyOf(of);
    }

    public sealed interface Rule {
        record Any() implements Rule {}

        record All() implements Rule {}

        record AtLeast(int count) implements Rule {}
    }
}
