package dipstick.server.criteria;

import dipstick.server.database.KnownRows;
import dipstick.server.database.KnownTables;
import dipstick.server.web.Problems;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.JsonNode;

/** The criteria sets that are saved, with their versions. */
@Service
public class CriteriaSets {
    private final CriteriaMapper sets;
    private final KnownRows<SequencedMap<String, SavedSet>> known;

    CriteriaSets(CriteriaMapper sets, KnownTables tables) {
        this.sets = sets;
        this.known = tables.keep(CriteriaMapper.class, this::read);
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
}
