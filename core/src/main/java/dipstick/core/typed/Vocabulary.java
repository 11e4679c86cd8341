package dipstick.core.typed;

import dipstick.core.criteria.Dial;
import dipstick.core.records.Field;
import dipstick.core.records.RecordFields;
import dipstick.core.text.NormalText;
import dipstick.core.wording.SelectionWords;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * The names that typed criteria may use: those of the document they are for, of its practice's records and of the
 * other sets.
 *
 * @param kinds the kinds on record, as they are written there
 * @param sets the other sets
 * @param kindsLikeTermSets kinds that the document uses and that have the name of a term set, as they are written
 * @param onRecord what the records hold; nothing where they are not looked at
 */
public record Vocabulary(
        RecordFields fields,
        List<String> kinds,
        List<Named> termSets,
        List<Named> rosters,
        List<Named> sets,
        List<DialName> dials,
        Set<String> kindsLikeTermSets,
        Optional<OnRecord> onRecord) {
    public Vocabulary {
        kinds = List.copyOf(kinds);
        termSets = List.copyOf(termSets);
        rosters = List.copyOf(rosters);
        sets = List.copyOf(sets);
        dials = List.copyOf(dials);
        kindsLikeTermSets = Set.copyOf(kindsLikeTermSets);
    }

    /** A thing with an id that people call by a name. */
    public record Named(String id, String name) {
        boolean isCalled(String other) {
            return NormalText.of(name).equals(NormalText.of(other));
        }
    }

    /** A dial and what it holds. */
    public record DialName(String name, Dial.Type type) {}

    /** The names that a document gives, with those of the records and the other sets. */
    public static Vocabulary of(JsonNode document, RecordFields fields, List<String> kinds, List<Named> sets) {
        return new Vocabulary(
                fields,
                Stream.concat(SelectionWords.COUNTABLE.stream(), kinds.stream())
                        .distinct()
                        .toList(),
                named(document.path("termSets")),
                named(document.path("rosters")),
                sets,
                document.path("dials").valueStream().flatMap(Vocabulary::dial).toList(),
                kindsLikeTermSets(document),
                Optional.empty());
    }

    /** The same with what the records hold, so that it may be named without saying what it is. */
    public Vocabulary with(OnRecord found) {
        return new Vocabulary(fields, kinds, termSets, rosters, sets, dials, kindsLikeTermSets, Optional.of(found));
    }

    static List<Named> named(JsonNode list) {
        return list.valueStream()
                .filter(item -> item.path("id").isString())
                .map(item -> new Named(
                        item.get("id").stringValue(),
                        item.path("name").asString(item.get("id").stringValue())))
                .toList();
    }

    private static Set<String> kindsLikeTermSets(JsonNode document) {
        List<Named> termSets = named(document.path("termSets"));
        return document.findValues("kinds").stream()
                .flatMap(JsonNode::valueStream)
                .map(kind -> kind.asString(""))
                .filter(kind -> !SelectionWords.COUNTABLE.contains(NormalText.of(kind)))
                .filter(kind -> termSets.stream().anyMatch(set -> set.isCalled(kind)))
                .collect(Collectors.toSet());
    }

    private static Stream<DialName> dial(JsonNode dial) {
        return Stream.of(Dial.Type.values())
                .filter(type -> type.name().equalsIgnoreCase(dial.path("type").asString("")))
                .map(type -> new DialName(dial.path("name").asString(""), type));
    }

    /** The names that several term sets, rosters or sets have, and kinds that have the name of a term set. */
    public Set<String> sharedNames() {
        Stream<String> several = Stream.of(termSets, rosters, sets)
                .flatMap(things -> things.stream()
                        .map(Named::name)
                        .filter(name -> things.stream()
                                        .filter(thing -> thing.isCalled(name))
                                        .count()
                                > 1));
        return Stream.concat(several, kindsLikeTermSets.stream()).collect(Collectors.toUnmodifiableSet());
    }

    List<Field> personFields() {
        return fields.people().tested();
    }

    List<Field> eventFields() {
        return fields.events().tested();
    }
}
