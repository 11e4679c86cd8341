package dipstick.server.outreach;

import dipstick.server.outreach.WorkDone.Refusal;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps what was sent to people of a list as attempts to reach them. */
@Service
public class SentToPeople {
    /** The outcome of an attempt by e-mail that came with the product. */
    private static final String EMAIL = "sent-e-mail";

    private final DeskWork work;

    SentToPeople(DeskWork work) {
        this.work = work;
    }

    /** Logs an e-mail that went out to somebody; gives why not, where that was not possible. */
    public Optional<String> byEmail(String set, String person) {
        return work.sent(set, EMAIL, person).refused().stream()
                .map(Refusal::why)
                .findFirst();
    }
}
