package dipstick.server.outreach.desk;

import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.web.Revisions;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** How each colleague lays out the desk of a list; the one in use first. */
@Service
class OwnViews {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final TypeReference<List<OwnViewController.OwnView>> VIEWS = new TypeReference<>() {};

    private final EntryMapper entries;
    private final Revisions revisions;

    OwnViews(EntryMapper entries, Revisions revisions) {
        this.entries = entries;
        this.revisions = revisions;
    }

    List<OwnViewController.OwnView> of(String account, String set) {
        return entries.views(account, set)
                .map(written -> JSON.readValue(written, VIEWS))
                .orElse(List.of());
    }

    int revision(String account, String set) {
        return revisions.of(thing(account, set));
    }

    /** @param seen the revision to which the change was made, as from another browser of the same colleague */
    @Transactional
    void save(String account, String set, List<OwnViewController.OwnView> views, int seen) {
        revisions.next(thing(account, set), seen, "your views of this list, in another window,");
        entries.keepViews(account, set, JSON.writeValueAsString(views));
    }

    private static String thing(String account, String set) {
        return "views of " + account + " " + set;
    }
}
