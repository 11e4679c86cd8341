package dipstick.core.typed;

import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * Something that may stand at a spot of what is typed.
 *
 * @param from where it would begin, in characters of the whole text
 * @param words the words themselves, or an example of them, as they would be typed
 * @param what what they are
 * @param of the field whose value it is, else empty
 * @param within which records it is about, as far as that was typed before it
 */
public record Expected(int from, String words, What what, String of, Within within) {
    /**
     * Records that were named already.
     *
     * @param kinds any of these; all where it is empty
     * @param termSets any of these, by id; all where it is empty
     */
    public record Within(List<String> kinds, List<String> termSets) {
        static final Within ALL = new Within(List.of(), List.of());

        public Within {
            kinds = List.copyOf(kinds);
            termSets = List.copyOf(termSets);
        }

        /** What a selection says so far. */
        static Within of(JsonNode selection) {
            return new Within(texts(selection.path("kinds")), texts(selection.path("terms")));
        }

        /** A dial may stand for any of them. */
        private static List<String> texts(JsonNode list) {
            boolean known = list.valueStream().allMatch(JsonNode::isString);
            return known ? list.valueStream().map(JsonNode::stringValue).toList() : List.of();
        }
    }

    /** What may stand somewhere. */
    public enum What {
        /** Words of the language. */
        WORDS("words"),
        KIND("a kind of record"),
        TERM_SET("a term set"),
        /** A code or wording of the records that no term set of the document names so far. */
        TERM("a term"),
        PERSON_FIELD("a field of the person"),
        EVENT_FIELD("a field of the record"),
        PERSON_VALUE("a value"),
        EVENT_VALUE("a value"),
        SET("another set"),
        ROSTER("a roster"),
        DIAL("a dial"),
        NUMBER("a number"),
        DATE("a date such as 23 Nov 2026"),
        PERIOD("a stretch of time such as 12 months");

        private final String named;

        What(String named) {
            this.named = named;
        }

        /** How a mistake names it. */
        public String named() {
            return named;
        }
    }
}
