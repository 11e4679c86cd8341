package dipstick.core.templates;

import java.util.List;

/** Something that a template leaves open, with a question for whoever opens it. */
public sealed interface Ask {
    String question();

    /** By which what is on record is found that may be meant. */
    List<String> words();

    /** Where in the document what is answered goes, as a JSON Pointer (RFC 6901): an array, empty until then. */
    String pointer();

    /** Which codes, wordings and keywords mean one thing here: the members of a term set. */
    record Terms(String pointer, String question, List<String> words) implements Ask {
        public Terms {
            words = List.copyOf(words);
        }
    }

    /**
     * Which values of a field mean one thing here.
     *
     * @param ofRecords whether it is a field of event records, and not of people
     */
    record Values(String pointer, String field, boolean ofRecords, String question, List<String> words) implements Ask {
        public Values {
            words = List.copyOf(words);
        }
    }
}
