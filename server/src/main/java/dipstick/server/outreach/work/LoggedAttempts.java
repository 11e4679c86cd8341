package dipstick.server.outreach.work;

import dipstick.server.outreach.work.WorkDone.Refusal;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps what was tried elsewhere than at the desk as attempts to reach people of a list. */
@Service
public class LoggedAttempts {
    /** The outcome of an attempt by e-mail that comes with the product. */
    public static final String SENT_EMAIL = "sent-e-mail";

    private final DeskWork work;

    LoggedAttempts(DeskWork work) {
        this.work = work;
    }

    /**
     * Logs an attempt of whoever is signed in, whatever was seen of the person before.
     *
     * @param outcome the id of an outcome
     * @param everywhere whether it holds for all lists that the person is on, as a call does
     * @return why not, where that was not possible
     */
    public Optional<String> log(String set, String outcome, String person, boolean everywhere) {
        return work.attempted(set, outcome, person, everywhere).refused().stream()
                .map(Refusal::why)
                .findFirst();
    }
}
