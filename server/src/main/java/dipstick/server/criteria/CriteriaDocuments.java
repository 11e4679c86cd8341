package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.MemberReferences;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.records.RecordFields;
import dipstick.core.typed.Vocabulary;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;

/** Criteria documents, saved or not, as they are read: with the saved sets that they name, and over the records of now. */
@Service
public class CriteriaDocuments {
    private static final int MOST_CRITERIA = 500;

    private final CriteriaSets sets;
    private final CriteriaMapper rows;
    private final NumbersOfNow numbersOfNow;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Today today;

    CriteriaDocuments(
            CriteriaSets sets,
            CriteriaMapper rows,
            NumbersOfNow numbersOfNow,
            Sharing sharing,
            Accounts accounts,
            Today today) {
        this.sets = sets;
        this.rows = rows;
        this.numbersOfNow = numbersOfNow;
        this.sharing = sharing;
        this.accounts = accounts;
        this.today = today;
    }

    /**
     * Reads a document, with the saved sets that it names.
     *
     * @throws InvalidCriteria with everything that is wrong with it or with one of those
     */
    public CriteriaSet read(JsonNode document, Map<String, String> settings, RecordFields fields)
            throws InvalidCriteria {
        return read(document, settings, fields, _ -> true);
    }

    /**
     * The same of what whoever is signed in writes: a set that they may not see is none, whether or not it is there.
     *
     * @throws InvalidCriteria as {@link #read} does
     */
    public CriteriaSet readHere(JsonNode document, Map<String, String> settings, RecordFields fields)
            throws InvalidCriteria {
        return read(document, settings, fields, maySee(accounts.here()));
    }

    /** Which sets somebody may name. */
    Predicate<String> maySee(Colleague who) {
        return set -> sharing.of(who, set).includes(Right.VIEW);
    }

    CriteriaSet read(JsonNode document, Map<String, String> settings, RecordFields fields, Predicate<String> mayBeNamed)
            throws InvalidCriteria {
        requireReadable(document);
        List<CriteriaSource> sources = new ArrayList<>();
        CriteriaSource first = new CriteriaSource("", document);
        sources.add(first);
        addNamed(document, first.id(), sources, mayBeNamed);
        List<CriteriaSource> ofNow = sources.stream()
                .map(source -> new CriteriaSource(source.name(), numbersOfNow.ofNow(source.json())))
                .toList();
        return CriteriaReader.read(ofNow, settings, fields, today.zone());
    }

    /** What is published of a list, which comes first, and of those sets that it names, or that only they name. */
    public List<CriteriaSource> withNamed(SavedSet list) {
        CriteriaSource first = new CriteriaSource(list.publishedName(), list.json());
        List<CriteriaSource> sources = new ArrayList<>(List.of(first));
        addNamed(first.json(), first.id(), sources, _ -> true);
        return sources;
    }

    /** A set that no person wrote holds up everybody else. */
    private static void requireReadable(JsonNode document) {
        long criteria = Stream.of("/include", "/exclude", "/shouldHave/of")
                .mapToLong(section -> document.at(section).size())
                .sum();
        if (criteria > MOST_CRITERIA) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "too-many-criteria",
                    "This set has " + criteria + " criteria; " + MOST_CRITERIA
                            + " is the most. Put some of them into a set of their own that this one names.");
        }
    }

    /** The reading of a document; nothing where it cannot be evaluated over these records. */
    public Optional<Reading> readingOf(JsonNode document, Evaluator evaluator) {
        return readingOf(document, Map.of(), evaluator);
    }

    /** The same of what whoever is signed in writes. */
    Optional<Reading> readingHere(JsonNode document, Evaluator evaluator) {
        return readingOf(document, Map.of(), evaluator, maySee(accounts.here()));
    }

    /** The same with some dials turned, as {@link #read} takes them. */
    public Optional<Reading> readingOf(JsonNode document, Map<String, String> settings, Evaluator evaluator) {
        return readingOf(document, settings, evaluator, _ -> true);
    }

    private Optional<Reading> readingOf(
            JsonNode document, Map<String, String> settings, Evaluator evaluator, Predicate<String> mayBeNamed) {
        try {
            return Optional.of(evaluator.read(
                    read(document, settings, evaluator.population().fields(), mayBeNamed)));
        } catch (InvalidCriteria doesNotFit) {
            return Optional.empty();
        }
    }

    /** The names that whoever is signed in may use in a document. */
    public Vocabulary vocabularyHere(JsonNode document, Population records) {
        Predicate<String> maySee = maySee(accounts.here());
        String own = document.path("id").asString("");
        return Vocabulary.of(
                document,
                records.fields(),
                records.events().kind().written().stream().skip(1).toList(),
                rows.names().stream()
                        .filter(set -> !set.id().equals(own) && maySee.test(set.id()))
                        .toList());
    }

    /** @param mayBeNamed in the document itself; what one of those names is its own affair */
    private void addNamed(JsonNode document, String from, List<CriteriaSource> sources, Predicate<String> mayBeNamed) {
        for (String id : MemberReferences.namedIn(document)) {
            boolean known = id.equals(from)
                    || !mayBeNamed.test(id)
                    || sources.stream().anyMatch(source -> source.id().equals(id));
            Optional<SavedSet> saved = known ? Optional.empty() : sets.find(id);
            if (saved.isPresent()) {
                SavedSet named = saved.get();
                CriteriaSource source =
                        new CriteriaSource(named.name(), named.isPublished() ? named.json() : named.latest());
                sources.add(source);
                addNamed(source.json(), from, sources, _ -> true);
            }
        }
    }
}
