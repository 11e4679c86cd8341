package dipstick.core.doubts;

import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.Selections;
import dipstick.core.criteria.TermSet;
import dipstick.core.doubts.Doubt.Kind;
import dipstick.core.evaluate.Evaluator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Term sets, or members of them, that match no record. */
final class TermDoubts {
    /** So many members are named; of more only the number is said. */
    private static final int NAMED = 3;

    private TermDoubts() {}

    static List<Doubt> of(Criterion criterion, Evaluator evaluator) {
        return Selections.of(criterion.test())
                .flatMap(asked -> asked.selection().terms().stream().flatMap(List::stream))
                .distinct()
                .flatMap(set -> of(criterion, set, evaluator).stream())
                .toList();
    }

    private static Optional<Doubt> of(Criterion criterion, TermSet set, Evaluator evaluator) {
        List<TermSet.Member> unused = set.members().stream()
                .filter(member -> !evaluator.isRecorded(member))
                .toList();
        if (unused.isEmpty() && !set.members().isEmpty()) {
            return Optional.empty();
        }
        String words = unused.size() == set.members().size()
                ? "The term set “" + set.name() + "” matches no record."
                : "Never recorded, of the term set “" + set.name() + "”: " + named(unused) + ".";
        return Optional.of(new Doubt(criterion.id(), Kind.UNUSED_TERMS, words, set.id()));
    }

    private static String named(List<TermSet.Member> members) {
        Stream<String> first = members.stream().limit(NAMED).map(member -> switch (member) {
            case TermSet.Member.Code(var system, var code) ->
                "code " + code + system.map(of -> " of " + of).orElse("");
            case TermSet.Member.Text(var text, var match) -> "wording “" + text + "”";
            case TermSet.Member.Keyword(var keyword) -> "keyword " + keyword;
        });
        String rest = members.size() > NAMED ? " and " + (members.size() - NAMED) + " more" : "";
        return first.collect(Collectors.joining(", ")) + rest;
    }
}
