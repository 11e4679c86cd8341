package dipstick.server.sharing;

import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.accounts.Duty;
import dipstick.server.accounts.Holdings;
import dipstick.server.audit.Act;
import dipstick.server.audit.AuditLog;
import dipstick.server.web.Problems;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.ErrorResponseException;

/**
 * Says what somebody may do with each set and its list: what is theirs, what is shared with them by name or group, or
 * everybody's, but never more than their roles allow.
 */
@Service
public class Sharing implements Holdings {
    private final SharingMapper sharing;
    private final Accounts accounts;
    private final AuditLog audit;

    Sharing(SharingMapper sharing, Accounts accounts, AuditLog audit) {
        this.sharing = sharing;
        this.accounts = accounts;
        this.audit = audit;
    }

    /** A new set is private. */
    @Transactional
    public void begin(String set, String owner) {
        sharing.insert(new Shared(set, owner, Right.NONE, 1));
    }

    @Transactional
    public void end(String set) {
        sharing.delete(set);
    }

    /** Shares a set with everybody, as a practice does that begins. */
    @Transactional
    public void everybodys(String set, Right right) {
        Shared shared = of(set);
        sharing.update(new Shared(set, shared.owner(), right, shared.revision() + 1));
    }

    /** Of a set that is there. */
    public Shared of(String set) {
        return sharing.find(set).orElseThrow(Sharing::noSuchSet);
    }

    List<Share> shares(String set) {
        return sharing.shares(set);
    }

    /** What whoever is signed in may do with a set; nothing with one that is not there. */
    public Right here(String set) {
        return of(accounts.here(), set);
    }

    /** Who sees a set besides its owner, for whoever is signed in; with whom else it is shared, only who may change it learns. */
    public String withWhom(String set) {
        return withWhom(of(set), here(set), shares(set));
    }

    private String withWhom(Shared shared, Right here, List<Share> shares) {
        if (shared.everybody().includes(Right.VIEW)) {
            return "shared with everybody";
        }
        if (!here.includes(Right.CHANGE)) {
            return "shared with you";
        }
        List<String> names = shares.stream()
                .map(share -> switch (share.kind()) {
                    case COLLEAGUE -> accounts.displayName(share.grantee());
                    case GROUP -> share.grantee();
                })
                .toList();
        return names.isEmpty() ? "private" : "shared with " + String.join(", ", names);
    }

    public Right of(Colleague colleague, String set) {
        return sharing.find(set)
                .map(shared -> right(colleague, shared, sharing.shares(set), accounts.groupsOf(colleague.name())))
                .orElse(Right.NONE);
    }

    /** What a colleague sees of all sets, read at once. */
    public Seen seenBy(Colleague colleague) {
        return new Seen(colleague);
    }

    /** The sets that a colleague may see, as they were shared when this was made. */
    public final class Seen {
        private final Map<String, Right> rights = new HashMap<>();
        private final Map<String, Shared> shared = new HashMap<>();
        private final Map<String, List<Share>> shares;

        private Seen(Colleague colleague) {
            shares = sharing.allShares().stream().collect(Collectors.groupingBy(Share::setId));
            List<String> groups = accounts.groupsOf(colleague.name());
            for (Shared one : sharing.all()) {
                Right right = right(colleague, one, sharesOf(one.setId()), groups);
                if (right.includes(Right.VIEW)) {
                    rights.put(one.setId(), right);
                    shared.put(one.setId(), one);
                }
            }
        }

        private List<Share> sharesOf(String set) {
            return shares.getOrDefault(set, List.of());
        }

        public boolean includes(String set) {
            return rights.containsKey(set);
        }

        /** Of a set that they may see: who does besides its owner, as far as they are told. */
        public String withWhom(String set) {
            return Sharing.this.withWhom(shared.get(set), rights.get(set), sharesOf(set));
        }
    }

    private static Right right(Colleague colleague, Shared shared, List<Share> shares, List<String> groups) {
        Right most = most(colleague);
        if (most == Right.NONE || shared.owner().equals(colleague.name())) {
            return most;
        }
        Right everybodys = colleague.givenListsOnly() ? Right.NONE : shared.everybody();
        return shares.stream()
                .filter(share -> switch (share.kind()) {
                    case COLLEAGUE -> share.grantee().equals(colleague.name());
                    case GROUP -> groups.contains(share.grantee());
                })
                .map(Share::granted)
                .reduce(everybodys, Right::orMore)
                .atMost(most);
    }

    /**
     * Refuses whoever is signed in if they may not do this with a set; what they may not see, is not there.
     *
     * @return all that they may do with it
     */
    public Right require(String set, Right right) {
        Right has = here(set);
        if (!has.includes(Right.VIEW)) {
            throw noSuchSet();
        }
        if (!has.includes(right)) {
            throw Problems.refused(
                    HttpStatus.FORBIDDEN,
                    "not-shared-so",
                    right == Right.CHANGE
                            ? "This is " + accounts.displayName(of(set).owner())
                                    + "’s and not shared with you to change. Nothing was saved; ask them, or save a copy"
                                    + " under another name."
                            : "This list is shared with you to look at, not to work. Nothing was changed; ask "
                                    + accounts.displayName(of(set).owner()) + ".");
        }
        return has;
    }

    @Transactional
    void save(Shared shared, List<Share> shares) {
        accounts.open(shared.owner());
        if (sharing.update(shared) != 1) {
            throw Problems.changedMeanwhile(
                    "Somebody changed with whom this is shared meanwhile. Nothing of yours was saved; look at theirs.");
        }
        sharing.deleteShares(shared.setId());
        shares.forEach(sharing::insertShare);
        audit.record(
                Act.SHARING_CHANGED,
                shared.setId() + ", owner " + shared.owner() + ", everybody " + shared.everybody()
                        + String.join(
                                "",
                                shares.stream()
                                        .map(share -> ", " + share.grantee() + " " + share.granted())
                                        .toList()));
    }

    @Override
    public Optional<String> heldBy(String account) {
        int sets = sharing.ownedBy(account).size();
        return sets == 0 ? Optional.empty() : Optional.of(sets == 1 ? "1 criteria set" : sets + " criteria sets");
    }

    @Override
    @Transactional
    public Optional<String> handOver(Colleague from, Colleague to) {
        if (heldBy(from.name()).isPresent() && !to.has(Duty.COORDINATE)) {
            throw Problems.refused(
                    HttpStatus.CONFLICT,
                    "no-coordinator",
                    to.displayName()
                            + " is no coordinator and cannot take over criteria sets. Nothing was handed over.");
        }
        sharing.changeOwner(from.name(), to.name());
        return Optional.empty();
    }

    private static Right most(Colleague colleague) {
        if (colleague.has(Duty.COORDINATE)) {
            return Right.CHANGE;
        }
        if (colleague.has(Duty.WORK_LISTS)) {
            return Right.WORK;
        }
        return colleague.has(Duty.READ_LISTS) ? Right.VIEW : Right.NONE;
    }

    private static ErrorResponseException noSuchSet() {
        return Problems.refused(
                HttpStatus.NOT_FOUND,
                "no-such-set",
                "There is no such set or list for you. It may have been removed or retired, or is not shared with you.");
    }
}
