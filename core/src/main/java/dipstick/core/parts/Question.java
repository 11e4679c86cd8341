package dipstick.core.parts;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.records.Field;
import dipstick.core.records.RecordFields;
import java.io.Serializable;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What is asked of every part, in a form that travels.
 *
 * @param documents the criteria set, and those that it may name as members
 * @param dials by name, what they are turned to
 * @param asOf the days, at least one; the levels of each are counted, and the list is that of the first
 * @param customOfPeople the fields of people beside the known ones
 */
public record Question(
        List<Document> documents,
        Map<String, String> dials,
        ZoneId zone,
        List<LocalDate> asOf,
        List<Field> customOfPeople,
        List<Field> customOfEvents)
        implements Serializable {
    public Question {
        documents = List.copyOf(documents);
        dials = Map.copyOf(dials);
        asOf = List.copyOf(asOf);
        customOfPeople = List.copyOf(customOfPeople);
        customOfEvents = List.copyOf(customOfEvents);
    }

    /**
     * A document as it is written.
     *
     * @param name how a person knows it, such as its file's
     */
    public record Document(String name, String text) implements Serializable {}

    public RecordFields fields() {
        return RecordFields.withCustom(customOfPeople, customOfEvents);
    }

    /** @throws InvalidCriteria where the documents say no set that fits these fields */
    public CriteriaSet read() throws InvalidCriteria {
        return CriteriaReader.read(sources(), dials, fields(), zone);
    }

    /** Says whether another answers the same, as {@link SentQuestion} does; not for which day. */
    public String fingerprint() throws InvalidCriteria {
        return SentQuestion.fingerprint(
                sources().stream().map(CriteriaSource::json).toList(), dials);
    }

    private List<CriteriaSource> sources() throws InvalidCriteria {
        List<CriteriaSource> sources = new ArrayList<>();
        for (Document document : documents) {
            sources.add(CriteriaSource.parse(document.name(), document.text()));
        }
        return sources;
    }
}
