package dipstick.server.outreach.work;

import dipstick.server.outreach.entries.ActMapper;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Keeps what came of each piece of work, so that one that is sent again is answered as at first, and done once. */
@Component
class FirstAnswers {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final ActMapper acts;

    FirstAnswers(ActMapper acts) {
        this.acts = acts;
    }

    /** What came of this work when it was sent first. Names are an account's own on a list. */
    Optional<WorkDone> of(String set, Work work, String account) {
        return acts.answer(account, set, work.batch(), work.partNumber())
                .map(answer -> JSON.readValue(answer, WorkDone.class));
    }

    /** Belongs to the transaction of the work. */
    void keep(String set, Work work, String account, WorkDone done) {
        acts.keepAnswer(account, set, work.batch(), work.partNumber(), JSON.writeValueAsString(done));
    }
}
