package dipstick.core.criteria;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;

/**
 * A spot of a document while it is read: its JSON, where it stands, and where problems go. What cannot be read is
 * replaced by a harmless stand-in, so that reading goes on and finds everything; a document with a problem is
 * refused as a whole.
 */
record Spot(JsonNode json, String pointer, List<Problem> problems) {
    static Spot root(JsonNode json) {
        return new Spot(json, "", new ArrayList<>());
    }

    void problem(String message) {
        problems.add(new Problem(pointer, message));
    }

    boolean has(String key) {
        return json.has(key);
    }

    Spot get(String key) {
        return new Spot(json.get(key), pointer + "/" + key.replace("~", "~0").replace("/", "~1"), problems);
    }

    Optional<Spot> find(String key) {
        return has(key) ? Optional.of(get(key)) : Optional.empty();
    }

    List<String> keys() {
        return List.copyOf(json.propertyNames());
    }

    /** Says what is wrong with every key but these. */
    void allowOnly(Set<String> allowed) {
        for (String key : keys()) {
            if (!allowed.contains(key)) {
                get(key).problem("“" + key + "” is not known here. What may stand here: "
                        + String.join(", ", allowed.stream().sorted().toList()) + ".");
            }
        }
    }

    /** Whether this is an object; says so where it is not. */
    boolean isObject(String expected) {
        if (!json.isObject()) {
            problem("This should be " + expected + ".");
        }
        return json.isObject();
    }

    /** Whether the key is there; says what the object lacks where it is not. */
    boolean requires(String key) {
        if (!has(key)) {
            problem("“" + key + "” is missing here.");
        }
        return has(key);
    }

    /** The items of a list; says what is wrong where this is no list. */
    List<Spot> items() {
        if (!json.isArray()) {
            problem("This should be a list in square brackets.");
            return List.of();
        }
        List<Spot> items = new ArrayList<>();
        for (int i = 0; i < json.size(); i++) {
            items.add(new Spot(json.get(i), pointer + "/" + i, problems));
        }
        return items;
    }

    /** What the items of the list under {@code key} read as; nothing where the key is absent. */
    <T> List<T> list(String key, Function<Spot, T> read) {
        return has(key) ? get(key).items().stream().map(read).toList() : List.of();
    }

    /** Plain words that no dial can stand for, such as a name; empty where there are none. */
    String words() {
        if (!json.isString()) {
            problem("This should be text.");
            return "";
        }
        return json.stringValue();
    }

    /** Plain words that must not be empty, such as an id. */
    String requiredWords() {
        String words = words();
        if (json.isString() && words.isBlank()) {
            problem("This must not be empty.");
        }
        return words;
    }

    /** A required text under {@code key} of this object. */
    String requiredWords(String key) {
        return requires(key) ? get(key).requiredWords() : "";
    }

    boolean truth() {
        if (!json.isBoolean()) {
            problem("This should be true or false.");
        }
        return json.isBoolean() && json.booleanValue();
    }

    /** Whether this is {@code true}, the only value that may stand here. */
    void onlyTrue() {
        if (!json.isBoolean() || !json.booleanValue()) {
            problem("Only true may stand here; leave the key out for the other case.");
        }
    }

    /** The choice whose JSON word stands here; the first one where none does. */
    <T> T oneOf(List<Choice<T>> choices) {
        for (Choice<T> choice : choices) {
            if (json.isString() && json.stringValue().equals(choice.word())) {
                return choice.value();
            }
        }
        problem("This should be one of: "
                + String.join(", ", choices.stream().map(Choice::word).toList()) + ".");
        return choices.getFirst().value();
    }

    /** A JSON word and what it stands for; the words are part of the format and do not follow the code's names. */
    record Choice<T>(String word, T value) {}
}
