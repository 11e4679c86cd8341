package dipstick.core.templates;

import dipstick.core.text.NormalText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A criteria set in which something is left open.
 *
 * @param about for whom it is, in a sentence
 * @param document the criteria set (criteria.md section 4), empty where something is asked
 */
public record Template(String about, List<Ask> asks, ObjectNode document) {
    private static final String FORMAT = "dipstick-template/1";

    public Template {
        asks = List.copyOf(asks);
        document = document.deepCopy();
    }

    public String name() {
        return document.path("name").asString("");
    }

    /** The kinds of records in which a term set is looked for in the set; empty where it is in any. */
    public Set<String> kindsOf(Ask.Terms ask) {
        String termSet =
                document.at(ask.pointer().replaceFirst("/members$", "/id")).asString("");
        Set<String> kinds = new HashSet<>();
        boolean everywhereOfSome = gatherKinds(document, termSet, kinds);
        return everywhereOfSome ? kinds : Set.of();
    }

    /** Whether each selection of records by the term set is of some kinds. */
    private static boolean gatherKinds(JsonNode part, String termSet, Set<String> kinds) {
        boolean names = part.path("terms")
                .valueStream()
                .anyMatch(one -> one.asString("").equals(termSet));
        List<String> here = part.path("kinds")
                .valueStream()
                .map(kind -> NormalText.of(kind.asString("")))
                .toList();
        boolean ofSome = !names || !here.isEmpty();
        if (names) {
            kinds.addAll(here);
        }
        for (JsonNode inner : part) {
            ofSome &= !inner.isContainer() || gatherKinds(inner, termSet, kinds);
        }
        return ofSome;
    }

    /**
     * The criteria set with what was answered.
     *
     * @param answers to each question, in their order: members of a term set, or values; what is not answered stays open
     */
    public ObjectNode filled(List<? extends List<? extends JsonNode>> answers) {
        ObjectNode filled = document.deepCopy();
        for (int i = 0; i < asks.size() && i < answers.size(); i++) {
            if (filled.at(asks.get(i).pointer()) instanceof ArrayNode open) {
                open.addAll(List.copyOf(answers.get(i)));
            }
        }
        return filled;
    }

    /** As a file. */
    public ObjectNode json() {
        ObjectNode json =
                JsonNodeFactory.instance.objectNode().put("format", FORMAT).put("about", about);
        ArrayNode written = json.putArray("asks");
        asks.forEach(ask -> {
            ObjectNode one = written.addObject().put("at", ask.pointer());
            if (ask instanceof Ask.Values values) {
                one.put("field", values.field()).put("of", values.ofRecords() ? "records" : "people");
            }
            one.put("question", ask.question());
            ask.words().forEach(one.putArray("words")::add);
        });
        json.set("document", document.deepCopy());
        return json;
    }

    /** @throws InvalidTemplate where it is none, with why */
    public static Template read(JsonNode file) throws InvalidTemplate {
        if (!file.path("format").asString("").equals(FORMAT)) {
            throw new InvalidTemplate("This is no template: its “format” should be " + FORMAT + ".");
        }
        if (!(file.path("document") instanceof ObjectNode document)) {
            throw new InvalidTemplate("This template has no criteria set in it (“document”).");
        }
        List<Ask> asks = new ArrayList<>();
        for (JsonNode ask : file.path("asks")) {
            asks.add(ask(ask, document));
        }
        return new Template(file.path("about").asString(""), asks, document);
    }

    private static Ask ask(JsonNode ask, ObjectNode document) throws InvalidTemplate {
        String pointer = ask.path("at").asString("");
        String question = ask.path("question").asString("");
        if (question.isBlank()) {
            throw new InvalidTemplate("Something that this template leaves open has no question.");
        }
        if (!pointer.startsWith("/") || !(document.at(pointer) instanceof ArrayNode open) || !open.isEmpty()) {
            throw new InvalidTemplate(
                    "“" + question + "” is asked for a place that is not left open in the set (“" + pointer + "”).");
        }
        List<String> words = ask.path("words")
                .valueStream()
                .map(word -> word.asString(""))
                .filter(word -> !word.isBlank())
                .toList();
        Optional<String> field = ask.path("field").asStringOpt();
        return field.isPresent()
                ? new Ask.Values(
                        pointer, field.get(), ask.path("of").asString("").equals("records"), question, words)
                : new Ask.Terms(pointer, question, words);
    }
}
