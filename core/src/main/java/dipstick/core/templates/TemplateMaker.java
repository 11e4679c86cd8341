package dipstick.core.templates;

import dipstick.core.wording.FieldWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Makes a template of a criteria set: its term sets and the values that it names are left open. */
public final class TemplateMaker {
    private static final List<String> CHOICES = List.of("in", "notIn");

    /** Tests on fields of records stand here (criteria.md section 3). */
    private static final Set<String> OF_RECORDS = Set.of("where", "is");

    private final ObjectNode document;
    private final List<Ask> asks = new ArrayList<>();

    private TemplateMaker(ObjectNode document) {
        this.document = document;
    }

    /** People who are named by their numbers, in rosters and in criteria on the id, are left out of it. */
    public static Template of(ObjectNode document) {
        TemplateMaker maker = new TemplateMaker(document.deepCopy());
        maker.openTermSets();
        for (String section : List.of("include", "exclude", "shouldHave")) {
            maker.open(maker.document.path(section), "/" + section, false);
        }
        maker.document.path("rosters").forEach(roster -> {
            if (roster.path("rows") instanceof ArrayNode rows) {
                rows.removeAll();
            }
        });
        return new Template(maker.document.path("purpose").asString(""), maker.asks, maker.document);
    }

    private void openTermSets() {
        JsonNode sets = document.path("termSets");
        for (int i = 0; i < sets.size(); i++) {
            String name = sets.path(i).path("name").asString("");
            if (sets.path(i).path("members") instanceof ArrayNode members) {
                List<String> words = Stream.concat(
                                Stream.of(name),
                                members.valueStream()
                                        .flatMap(one -> Stream.of(one.path("text"), one.path("keyword")))
                                        .map(word -> word.asString("")))
                        .filter(word -> !word.isBlank())
                        .distinct()
                        .toList();
                members.removeAll();
                asks.add(
                        new Ask.Terms("/termSets/" + i + "/members", "Which records mean “" + name + "” here?", words));
            }
        }
    }

    /** @param ofRecords whether this stands in a test on fields of records */
    private void open(JsonNode part, String pointer, boolean ofRecords) {
        if (part.path("field").isString()) {
            for (String choice : CHOICES) {
                if (part.path(choice) instanceof ArrayNode values
                        && values.valueStream().allMatch(JsonNode::isString)) {
                    ask(part.path("field").asString(), values, pointer + "/" + choice, ofRecords);
                }
            }
        }
        for (int i = 0; i < part.size(); i++) {
            if (part.isArray()) {
                open(part.path(i), pointer + "/" + i, ofRecords);
            }
        }
        part.properties().forEach(inner -> {
            if (inner.getValue().isContainer()) {
                open(
                        inner.getValue(),
                        pointer + "/" + inner.getKey(),
                        ofRecords || OF_RECORDS.contains(inner.getKey()));
            }
        });
    }

    private void ask(String field, ArrayNode values, String pointer, boolean ofRecords) {
        boolean namesPeople = field.equals("id") && !ofRecords;
        List<String> words = namesPeople
                ? List.of()
                : values.valueStream().map(JsonNode::asString).toList();
        String said = words.stream().map(word -> "“" + word + "”").collect(Collectors.joining(", "));
        values.removeAll();
        asks.add(new Ask.Values(
                pointer,
                field,
                ofRecords,
                "What is the " + FieldWords.name(field) + (ofRecords ? " of a record" : "") + " called here"
                        + (said.isEmpty() ? "?" : " that is " + said + " there?"),
                words));
    }
}
