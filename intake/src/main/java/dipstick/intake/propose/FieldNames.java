package dipstick.intake.propose;

import dipstick.core.text.NormalText;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What columns and words are called in the trade, in several languages ({@code field-names.json}). */
final class FieldNames {
    private static final FieldNames TRADE = read();

    private final Map<String, Meant> byName = new HashMap<>();
    private final Map<String, Set<String>> kinds = new TreeMap<>();
    private final Map<String, Map<String, String>> words = new HashMap<>();
    private final Set<String> totals;
    private final Set<String> empty;

    /** What a column's name means. */
    record Meant(Of of, String field) {}

    /** Of what a field is. */
    enum Of {
        NUMBER,
        PERSON,
        BOTH,
        EVENT
    }

    private FieldNames(JsonNode json) {
        add(json.get("number"), new Meant(Of.NUMBER, "id"));
        add(json.get("person"), Of.PERSON);
        add(json.get("both"), Of.BOTH);
        add(json.get("event"), Of.EVENT);
        json.get("kinds").properties().forEach(kind -> kinds.put(kind.getKey(), texts(kind.getValue())));
        json.get("words")
                .properties()
                .forEach(field -> words.put(
                        field.getKey(),
                        field.getValue().properties().stream()
                                .collect(Collectors.toMap(
                                        Map.Entry::getKey, one -> one.getValue().asString()))));
        this.totals = texts(json.get("totals"));
        this.empty = texts(json.get("empty"));
    }

    static FieldNames ofTheTrade() {
        return TRADE;
    }

    private static FieldNames read() {
        try (InputStream names = FieldNames.class.getResourceAsStream("/dipstick/intake/field-names.json")) {
            if (names == null) {
                throw new IllegalStateException("field-names.json was not packaged");
            }
            return new FieldNames(JsonMapper.shared().readTree(names));
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    private void add(JsonNode fields, Of of) {
        fields.properties().forEach(field -> {
            add(field.getValue(), new Meant(of, field.getKey()));
            byName.putIfAbsent(plain(field.getKey()), new Meant(of, field.getKey()));
        });
    }

    private void add(JsonNode names, Meant meant) {
        texts(names).forEach(name -> byName.putIfAbsent(plain(name), meant));
    }

    private static Set<String> texts(JsonNode list) {
        return list.valueStream().map(JsonNode::asString).collect(Collectors.toUnmodifiableSet());
    }

    /** A name without what people write differently: “PatientID”, “patient_id” and “Patient-Id:” are one. */
    static String plain(String name) {
        String apart = name.replaceAll("(\\p{Ll})(\\p{Lu})", "$1 $2");
        return NormalText.of(apart.replaceAll("[^\\p{L}\\p{N}°º]+", " "));
    }

    Optional<Meant> of(String column) {
        return Optional.ofNullable(byName.get(plain(column)));
    }

    /** The kinds of record whose words stand in a text, such as the name of a file or of a column. */
    List<String> kindsIn(String text) {
        List<String> parts = List.of(plain(text).split(" "));
        return kinds.entrySet().stream()
                .filter(kind -> parts.stream().anyMatch(kind.getValue()::contains))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Our words for those of a column, by the words as they are written; none where most are other words. */
    Map<String, String> translations(String field, Set<String> written) {
        Map<String, String> known = words.getOrDefault(field, Map.of());
        Map<String, String> found = new TreeMap<>();
        written.forEach(word -> Optional.ofNullable(known.get(NormalText.of(word)))
                .filter(ours -> !ours.equals(NormalText.of(word)))
                .ifPresent(ours -> found.put(word, ours)));
        return found;
    }

    boolean isWordOf(String field, String written) {
        return words.getOrDefault(field, Map.of()).containsKey(NormalText.of(written));
    }

    boolean isTotal(String cell) {
        String text = plain(cell);
        return totals.stream().anyMatch(word -> text.equals(word) || text.startsWith(word + " "));
    }

    boolean saysNothing(String cell) {
        return empty.contains(NormalText.of(cell));
    }
}
