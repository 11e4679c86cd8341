package dipstick.core.criteria;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads term sets (criteria.md section 4). */
final class TermSetReader {
    private static final Map<String, Set<String>> FORMS = Map.of(
            "code", Set.of("code", "system"),
            "text", Set.of("text", "match"),
            "keyword", Set.of("keyword"));

    private static final List<Spot.Choice<TermSet.Match>> MATCHES = List.of(
            new Spot.Choice<>("is", TermSet.Match.IS),
            new Spot.Choice<>("startsWith", TermSet.Match.STARTS_WITH),
            new Spot.Choice<>("contains", TermSet.Match.CONTAINS));

    private static final TermSet.Member NO_MEMBER = new TermSet.Member.Keyword("");

    private final ValueReader values;

    TermSetReader(ValueReader values) {
        this.values = values;
    }

    TermSet read(Spot spot) {
        if (!spot.isObject("a term set, an object with id, name and members")) {
            return new TermSet("", "", List.of());
        }
        spot.allowOnly(Set.of("id", "name", "members"));
        String id = spot.requiredWords("id");
        String name = spot.has("name") ? spot.get("name").words() : id;
        spot.requires("members");
        return new TermSet(id, name, spot.list("members", this::member));
    }

    private TermSet.Member member(Spot spot) {
        if (!spot.isObject("a member, such as {\"code\": \"HC1\"}")) {
            return NO_MEMBER;
        }
        List<String> forms = spot.keys().stream().filter(FORMS::containsKey).toList();
        if (forms.size() != 1) {
            spot.problem("A member has exactly one of: code, text, keyword.");
            return NO_MEMBER;
        }
        String form = forms.getFirst();
        spot.allowOnly(FORMS.get(form));
        String value = values.text(spot.get(form));
        return switch (form) {
            case "code" -> {
                Optional<String> system = spot.find("system").map(values::text);
                yield new TermSet.Member.Code(system, value);
            }
            case "text" ->
                new TermSet.Member.Text(
                        value, spot.has("match") ? spot.get("match").oneOf(MATCHES) : TermSet.Match.IS);
            default -> new TermSet.Member.Keyword(value);
        };
    }
}
