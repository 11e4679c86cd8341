package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaReader;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.CriteriaSource;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.criteria.MemberReferences;
import dipstick.core.criteria.Problem;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.records.RecordFields;
import dipstick.core.typed.Vocabulary;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.database.KnownRows;
import dipstick.server.database.KnownTables;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.JsonNode;

/** The saved criteria sets. */
@Service
public class CriteriaSets {
    private static final int MOST_CRITERIA = 500;

    private final CriteriaMapper sets;
    private final KnownRows<SequencedMap<String, SavedSet>> known;
    private final NumbersOfNow numbersOfNow;
    private final Sharing sharing;
    private final Accounts accounts;
    private final AuditLog audit;
    private final Today today;
    private final ApplicationEventPublisher published;

    CriteriaSets(
            CriteriaMapper sets,
            KnownTables tables,
            NumbersOfNow numbersOfNow,
            Sharing sharing,
            Accounts accounts,
            AuditLog audit,
            Today today,
            ApplicationEventPublisher published) {
        this.sets = sets;
        this.known = tables.keep(CriteriaMapper.class, this::read);
        this.numbersOfNow = numbersOfNow;
        this.sharing = sharing;
        this.accounts = accounts;
        this.audit = audit;
        this.today = today;
        this.published = published;
    }

    /** All of them, those out of use too. */
    public List<SavedSet> all() {
        return List.copyOf(known.now().orElseGet(this::read).values());
    }

    private SequencedMap<String, SavedSet> read() {
        return sets.all().stream()
                .collect(Collectors.toMap(SavedSet::id, Function.identity(), (one, _) -> one, LinkedHashMap::new));
    }

    /** Those that have a list. */
    public List<SavedSet> inForce() {
        return all().stream().filter(SavedSet::isInForce).toList();
    }

    public SavedSet get(String id) {
        return find(id).orElseThrow(CriteriaSets::noSuchSet);
    }

    Optional<SavedSet> find(String id) {
        return known.now().map(all -> Optional.ofNullable(all.get(id))).orElseGet(() -> sets.find(id));
    }

    /** The set of a list. */
    public SavedSet getInForce(String id) {
        return find(id).filter(SavedSet::isInForce).orElseThrow(CriteriaSets::noSuchSet);
    }

    private static ErrorResponseException noSuchSet() {
        return Problems.refused(
                HttpStatus.NOT_FOUND,
                "no-such-set",
                "There is no criteria set of this name any more. Somebody may have removed or retired it.");
    }

    /** All versions that were published, the first one first. */
    List<PublishedVersion> versions(String id) {
        return sets.versions(get(id).id());
    }

    /** What a set said when it was published as this version. */
    public JsonNode published(String id, int version) {
        return version(id, version).json();
    }

    PublishedVersion version(String id, int version) {
        return sets.version(id, version)
                .orElseThrow(() -> Problems.refused(
                        HttpStatus.NOT_FOUND, "no-such-version", "This set has no version " + version + "."));
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

    private Predicate<String> maySee(Colleague who) {
        return set -> sharing.of(who, set).includes(Right.VIEW);
    }

    private CriteriaSet read(
            JsonNode document, Map<String, String> settings, RecordFields fields, Predicate<String> mayBeNamed)
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
                sets.names().stream()
                        .filter(set -> !set.id().equals(own) && maySee.test(set.id()))
                        .toList());
    }

    /** @param mayBeNamed in the document itself; what one of those names is its own affair */
    private void addNamed(JsonNode document, String from, List<CriteriaSource> sources, Predicate<String> mayBeNamed) {
        for (String id : MemberReferences.namedIn(document)) {
            boolean known = id.equals(from)
                    || !mayBeNamed.test(id)
                    || sources.stream().anyMatch(source -> source.id().equals(id));
            Optional<SavedSet> saved = known ? Optional.empty() : find(id);
            if (saved.isPresent()) {
                SavedSet named = saved.get();
                CriteriaSource source =
                        new CriteriaSource(named.name(), named.isPublished() ? named.json() : named.latest());
                sources.add(source);
                addNamed(source.json(), from, sources, _ -> true);
            }
        }
    }

    /**
     * Saves what is being changed; the published version and its list stay as they are.
     *
     * @param expected the revision that the change was made to; nothing for a new set
     */
    @Transactional
    public SavedSet saveDraft(String id, String name, JsonNode document, Optional<Integer> expected, String who) {
        String draft = document.toString();
        if (expected.isEmpty()) {
            SavedSet first = new SavedSet(id, name, "", 0, draft, 1, false, today.now(), who);
            insert(first);
            sharing.begin(id, who);
            audit.record(who, Act.CRITERIA_SAVED, id + ", draft");
            return first;
        }
        SavedSet old = at(id, expected.get());
        SavedSet saved = update(old.with(name, old.document(), old.version(), draft), who);
        audit.record(who, Act.CRITERIA_SAVED, id + ", draft");
        return saved;
    }

    /** Goes back to what is published. */
    @Transactional
    SavedSet dropDraft(String id, int expected, String who) {
        SavedSet old = at(id, expected);
        if (!old.isPublished()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "not-published",
                    "This set was never published, so there is nothing to go back to.");
        }
        SavedSet saved = update(old.with(old.publishedName(), old.document(), old.version(), ""), who);
        audit.record(who, Act.CRITERIA_SAVED, id + ", draft put away");
        return saved;
    }

    /**
     * Makes the draft the next version, which the list then follows, if it can be evaluated over these fields; checked and
     * published at once, while no other set changes.
     */
    @Transactional
    public SavedSet publish(String id, int expected, String note, String who, RecordFields fields) {
        sets.lock();
        SavedSet old = at(id, expected);
        check(who, old.latest(), fields);
        if (!old.hasDraft()) {
            return old;
        }
        SavedSet saved = update(old.with(old.name(), old.draft(), old.version() + 1, ""), who);
        keepVersion(saved, note);
        audit.record(who, Act.CRITERIA_PUBLISHED, id + ", version " + saved.version());
        published.publishEvent(new CriteriaPublished(id, saved.json(), who));
        return saved;
    }

    /** A set is published only if it can be evaluated, so that every list that is opened can be. */
    private void check(String who, JsonNode document, RecordFields fields) {
        // A practice that begins is filled before anybody has an account.
        Predicate<String> mayBeNamed = accounts.none() ? _ -> true : maySee(accounts.colleague(who));
        try {
            read(document, Map.of(), fields, mayBeNamed);
        } catch (InvalidCriteria invalid) {
            throw Problems.refused(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "invalid-criteria",
                    "This set cannot be evaluated, so it was not published. What is wrong is listed; the draft is kept.",
                    errors(invalid));
        }
        List<String> unpublished = all().stream()
                .filter(set ->
                        !set.isPublished() && MemberReferences.namedIn(document).contains(set.id()))
                .map(SavedSet::name)
                .toList();
        if (!unpublished.isEmpty()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "names-unpublished",
                    "This set names " + String.join(", ", unpublished)
                            + ", which was never published. Publish that first; the draft is kept.");
        }
    }

    private static List<Map<String, String>> errors(InvalidCriteria invalid) {
        return invalid.problems().values().stream()
                .flatMap(List::stream)
                .map((Problem problem) -> Map.of("pointer", problem.pointer(), "message", problem.message()))
                .toList();
    }

    /** Has other changes of sets wait until the transaction is over. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void lock() {
        sets.lock();
    }

    /**
     * Changes what a set says in all that is kept of it, its draft and its list, as when a term set that it shares is
     * changed. What does not change is left alone.
     *
     * @return the revision before and after; nothing where it says the same
     */
    @Transactional
    public Optional<Rewritten> rewrite(SavedSet set, UnaryOperator<JsonNode> how, String note, String who) {
        String document = set.isPublished() ? how.apply(set.json()).toString() : "";
        String draft = set.hasDraft() ? how.apply(set.latest()).toString() : "";
        boolean publishes = !document.equals(set.document());
        if (!publishes && draft.equals(set.draft())) {
            return Optional.empty();
        }
        int version = publishes ? set.version() + 1 : set.version();
        SavedSet saved = update(set.with(set.name(), document, version, draft), who);
        if (publishes) {
            keepVersion(saved, note);
            audit.record(who, Act.CRITERIA_PUBLISHED, set.id() + ", version " + version + ": " + note);
        }
        return Optional.of(new Rewritten(set.id(), set.revision(), saved.revision(), version));
    }

    /** A set that was changed from outside it, with its revision before and after, and the version it now has. */
    public record Rewritten(String id, int before, int after, int version) {}

    /** Takes a set out of use, or back into it. It is kept with its versions. */
    @Transactional
    SavedSet retire(String id, boolean retired, int expected, String who) {
        SavedSet saved = update(at(id, expected).retired(retired), who);
        audit.record(who, Act.CRITERIA_RETIRED, id + (retired ? "" : ", back in use"));
        return saved;
    }

    /** Removes a set that was never published. */
    @Transactional
    void remove(String id, int expected, String who) {
        if (at(id, expected).isPublished()) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "is-published",
                    "This set has been published, so it is kept for what was done by it. Retire it instead.");
        }
        if (sets.delete(id, expected) != 1) {
            throw conflict(get(id));
        }
        sharing.end(id);
        audit.record(who, Act.CRITERIA_REMOVED, id);
    }

    /** The set where it is still at the revision that a change was made to. */
    private SavedSet at(String id, int revision) {
        SavedSet saved = get(id);
        if (saved.revision() != revision) {
            throw conflict(saved);
        }
        return saved;
    }

    private SavedSet update(SavedSet next, String who) {
        SavedSet saved = next.changed(today.now(), who);
        if (sets.update(saved) != 1) {
            throw conflict(get(next.id()));
        }
        return saved;
    }

    private void keepVersion(SavedSet saved, String note) {
        sets.insertVersion(new PublishedVersion(
                saved.id(),
                saved.name(),
                saved.document(),
                saved.version(),
                note,
                saved.changedAt(),
                saved.changedBy()));
    }

    private void insert(SavedSet saved) {
        try {
            sets.insert(saved);
        } catch (DuplicateKeyException taken) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "name-taken",
                    "There is a criteria set of this name already, maybe a colleague’s private one. Yours is kept here,"
                            + " not saved: give it another name.");
        }
    }

    private ErrorResponseException conflict(SavedSet other) {
        return Problems.changedMeanwhile(accounts.displayName(other.changedBy())
                + " changed this set meanwhile. Yours is kept here, not saved: look at theirs, or save yours"
                + " under another name.");
    }
}
