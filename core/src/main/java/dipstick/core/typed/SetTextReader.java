package dipstick.core.typed;

import static dipstick.core.typed.ValueParser.JSON;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads a whole criteria set from the text that {@link SetText} prints, or that a person writes in the same way. What
 * the text does not carry is taken from the set it is pasted over: its id, the ids of criteria that stay, and term sets,
 * rosters and dials that are named but not given.
 */
public final class SetTextReader {
    private final ObjectNode current;
    private final ObjectNode document = JSON.objectNode();
    private final List<Mistake> mistakes = new ArrayList<>();

    private SetTextReader(ObjectNode current) {
        this.current = current;
    }

    /** @param mistakes everything that is wrong with the text, each with its spot; then there is no document */
    public record Result(Optional<ObjectNode> document, List<Mistake> mistakes) {
        public Result {
            mistakes = List.copyOf(mistakes);
        }
    }

    /**
     * @param current the document that the text is pasted over
     * @param vocabulary the names known to a document
     */
    public static Result read(String text, ObjectNode current, Function<JsonNode, Vocabulary> vocabulary) {
        SetTextReader reader = new SetTextReader(current);
        reader.read(Block.of(text.replace("\r\n", "\n")), vocabulary);
        return new Result(reader.mistakes.isEmpty() ? Optional.of(reader.document) : Optional.empty(), reader.mistakes);
    }

    private void read(List<Block> blocks, Function<JsonNode, Vocabulary> vocabulary) {
        for (String key : List.of("format", "id")) {
            if (current.has(key)) {
                document.set(key, current.get(key));
            }
        }
        document.put("name", current.path("name").asString(""));
        List<Block> rest = new ArrayList<>(blocks);
        if (!rest.isEmpty() && rest.getFirst().lines().isEmpty()) {
            document.put("name", Heading.said(rest.removeFirst().heading().text()));
        }
        List<String> purpose = rest.stream()
                .map(block -> block.heading().text())
                .filter(line -> line.startsWith(">"))
                .map(line -> Heading.said(line.substring(1)))
                .toList();
        if (!purpose.isEmpty()) {
            document.put("purpose", String.join("\n", purpose));
        }
        rest.removeIf(block -> block.heading().text().startsWith(">"));
        // Names before what uses them: dials may stand in term sets, all of them in criteria.
        for (Set<String> names : List.of(Set.of(Heading.DIALS), Set.of(Heading.TERM_SET, Heading.ROSTER))) {
            Vocabulary known = vocabulary.apply(withNamesOfCurrent());
            rest.removeIf(block -> {
                boolean isOne = names.stream().anyMatch(block.heading().text()::startsWith);
                if (isOne) {
                    new NamesReader(document, current, known, mistakes).read(block);
                }
                return isOne;
            });
        }
        ObjectNode known = withNamesOfCurrent();
        SectionsReader sections = new SectionsReader(document, vocabulary.apply(known), mistakes);
        rest.forEach(sections::read);
        keepWhatIsUsed(known);
        new CriterionIds(current).giveTo(document);
        sections.nameCriteria();
    }

    /** The document with the term sets, rosters and dials of the current one that it does not give itself. */
    private ObjectNode withNamesOfCurrent() {
        ObjectNode all = document.deepCopy();
        for (Named kind : Named.values()) {
            for (JsonNode one : current.path(kind.list)) {
                if (all.path(kind.list).valueStream().noneMatch(given -> isSame(given, one, kind.id))) {
                    all.withArray(kind.list).add(one);
                }
            }
        }
        return all;
    }

    private static boolean isSame(JsonNode one, JsonNode other, String id) {
        return one.path(id).equals(other.path(id));
    }

    private void keepWhatIsUsed(ObjectNode known) {
        for (Named kind : Named.values()) {
            Set<String> used = document.findValues(kind.usedUnder).stream()
                    .flatMap(value -> value.isArray() ? value.valueStream() : Stream.of(value))
                    .map(value -> value.asString(""))
                    .collect(Collectors.toSet());
            ArrayNode kept = JSON.arrayNode();
            known.path(kind.list).forEach(one -> {
                boolean given = document.path(kind.list).valueStream().anyMatch(own -> isSame(own, one, kind.id));
                if (given || used.contains(one.path(kind.id).asString(""))) {
                    kept.add(one);
                }
            });
            if (!kept.isEmpty()) {
                document.set(kind.list, kept);
            }
        }
    }

    /** What a document gives a name to, and where that name is used. */
    private enum Named {
        TERM_SET("termSets", "id", "terms"),
        ROSTER("rosters", "id", "roster"),
        DIAL("dials", "name", "dial");

        private final String list;
        private final String id;
        private final String usedUnder;

        Named(String list, String id, String usedUnder) {
            this.list = list;
            this.id = id;
            this.usedUnder = usedUnder;
        }
    }
}
