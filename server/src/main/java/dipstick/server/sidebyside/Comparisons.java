package dipstick.server.sidebyside;

import dipstick.server.accounts.Accounts;
import dipstick.server.practice.Today;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import dipstick.server.web.Problems;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;
import tools.jackson.databind.json.JsonMapper;

/** What is laid side by side again and again. One that names a list which somebody may not see, is not there for them. */
@Service
class Comparisons {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final ComparisonMapper comparisons;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Today today;

    Comparisons(ComparisonMapper comparisons, Sharing sharing, Accounts accounts, Today today) {
        this.comparisons = comparisons;
        this.sharing = sharing;
        this.accounts = accounts;
        this.today = today;
    }

    /**
     * Where a list comes from.
     *
     * @param ref the id of a roster or list; empty for others
     * @param columns its columns, by which another file of the kind is known
     */
    record Source(SideKind kind, String ref, String name, List<String> columns) {
        Source {
            columns = List.copyOf(columns);
        }
    }

    /** @param split between several things in a cell; empty where it is compared as it is */
    record ComparedColumn(String here, String there, String split) {}

    record KeyColumn(String here, String there) {}

    /** What is saved of a comparison. */
    record Document(Source here, Source there, List<KeyColumn> key, List<ComparedColumn> compared) {
        Document {
            key = List.copyOf(key);
            compared = List.copyOf(compared);
        }

        Stream<String> lists() {
            return Stream.of(here, there)
                    .filter(source -> source.kind() == SideKind.LIST)
                    .map(Source::ref);
        }
    }

    static Document document(SavedComparison saved) {
        return JSON.readValue(saved.document(), Document.class);
    }

    List<SavedComparison> here() {
        return comparisons.all().stream().filter(this::isSeenHere).toList();
    }

    private boolean isSeenHere(SavedComparison saved) {
        return document(saved).lists().allMatch(list -> sharing.here(list).includes(Right.VIEW));
    }

    private SavedComparison get(String id) {
        return comparisons.find(id).filter(this::isSeenHere).orElseThrow(Comparisons::none);
    }

    private static ErrorResponseException none() {
        return Problems.refused(
                HttpStatus.NOT_FOUND, "no-such-comparison", "There is no such comparison here any more.");
    }

    /** @param expected the version that the change was made to; nothing for a new one */
    @Transactional
    SavedComparison save(String id, String name, Document document, Optional<Integer> expected, String who) {
        document.lists().forEach(list -> sharing.require(list, Right.VIEW));
        SavedComparison saved = new SavedComparison(
                id, name, JSON.writeValueAsString(document), expected.orElse(0) + 1, today.now(), who);
        if (expected.isEmpty()) {
            try {
                comparisons.insert(saved);
            } catch (DuplicateKeyException taken) {
                throw Problems.refused(
                        HttpStatus.CONFLICT,
                        "name-taken",
                        "There is a comparison of this name already. Nothing was saved; give yours another name.");
            }
        } else if (get(id).version() != expected.get() || comparisons.update(saved) != 1) {
            throw conflict(get(id));
        }
        return saved;
    }

    @Transactional
    void remove(String id, int seen) {
        SavedComparison old = get(id);
        if (comparisons.delete(id, seen) != 1) {
            throw conflict(old);
        }
    }

    private ErrorResponseException conflict(SavedComparison other) {
        return Problems.changedMeanwhile(accounts.displayName(other.changedBy()) + " changed “" + other.name()
                + "” meanwhile. Nothing of yours was saved; look at theirs first.");
    }
}
