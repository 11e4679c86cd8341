package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.Problem;
import dipstick.core.criteria.ShouldHave;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What can be read of a document that cannot be evaluated: every criterion in which nothing is pointed out. */
final class ReadableLines {
    /** Leaving out one mistake may bring out another, such as a column of a criterion that was left out. */
    private static final int MOST_ROUNDS = 4;

    private static final Pattern LINE = Pattern.compile("(/include|/exclude|/shouldHave/of)/(\\d+)(?:/.*)?");

    /** Reads a document, with the sets that it names. */
    interface Reader {
        CriteriaSet read(JsonNode document) throws InvalidCriteria;
    }

    /** @param written its test, as the document has it */
    record Line(Criterion criterion, JsonNode written) {}

    /**
     * @param set without what is wrong with it: a harmless criterion stands in the place of each that is left out
     * @param document the same as it is written
     * @param leftOut pointers to those
     */
    record Rest(CriteriaSet set, JsonNode document, Set<String> leftOut) {
        /** Those that are not left out. */
        Stream<Line> lines() {
            return Stream.of(
                            of("/include", set.include()),
                            of("/exclude", set.exclude()),
                            of(
                                    "/shouldHave/of",
                                    set.shouldHave().map(ShouldHave::of).orElse(List.of())))
                    .flatMap(lines -> lines);
        }

        private Stream<Line> of(String section, List<Criterion> criteria) {
            return IntStream.range(0, criteria.size())
                    .filter(i -> !leftOut.contains(section + "/" + i))
                    .mapToObj(i -> new Line(
                            criteria.get(i), document.at(section).path(i).path("test")));
        }
    }

    private ReadableLines() {}

    /** Nothing where too little is left, or what is wrong is in another document. */
    static Optional<Rest> of(JsonNode document, InvalidCriteria mistakes, Reader reader) {
        if (!(document.deepCopy() instanceof ObjectNode rest)) {
            return Optional.empty();
        }
        Set<String> leftOut = new HashSet<>();
        InvalidCriteria wrong = mistakes;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            List<Problem> own = wrong.problems().getOrDefault("", List.of());
            if (own.size()
                    < wrong.problems().values().stream().mapToInt(List::size).sum()) {
                return Optional.empty();
            }
            own.forEach(problem -> leaveOut(rest, problem.pointer(), leftOut));
            try {
                return Optional.of(new Rest(reader.read(rest), rest, Set.copyOf(leftOut)));
            } catch (InvalidCriteria further) {
                wrong = further;
            }
        }
        return Optional.empty();
    }

    private static void leaveOut(ObjectNode document, String pointer, Set<String> leftOut) {
        Matcher line = LINE.matcher(pointer);
        if (line.matches() && document.at(line.group(1)) instanceof ArrayNode lines) {
            int at = Integer.parseInt(line.group(2));
            leftOut.add(line.group(1) + "/" + at);
            lines.set(at, inPlaceOf(line.group(1), at));
        } else if (pointer.startsWith("/")) {
            document.remove(pointer.substring(1).split("/", 2)[0]);
        }
    }

    private static JsonNode inPlaceOf(String section, int at) {
        JsonNodeFactory json = JsonNodeFactory.instance;
        return json.objectNode()
                .put("id", "left-out" + section.replace('/', '-') + "-" + at)
                .set("test", json.objectNode().set("age", json.objectNode().put("from", 0)));
    }
}
