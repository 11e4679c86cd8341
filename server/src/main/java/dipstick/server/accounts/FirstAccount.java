package dipstick.server.accounts;

import dipstick.core.text.Fingerprint;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.web.PlainLetters;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Lets the first visitor of a new installation create the first account with a code that only the server's console
 * shows. The code is good until it is used or the server stops.
 */
@Component
class FirstAccount {
    private static final Logger LOG = LoggerFactory.getLogger(FirstAccount.class);

    /** So many that no number of tries comes near; wrong ones therefore cost its owner nothing. */
    private static final int LENGTH = 16;

    private final Accounts accounts;
    private final PracticeSettings settings;
    private Optional<String> code = Optional.empty();

    FirstAccount(Accounts accounts, PracticeSettings settings) {
        this.accounts = accounts;
        this.settings = settings;
    }

    @EventListener(ApplicationReadyEvent.class)
    void offer() {
        if (accounts.none() && !settings.demo()) {
            make();
        }
    }

    boolean isNeeded() {
        return accounts.none();
    }

    /** Creates the account if the code is right; says whether it was. */
    synchronized boolean create(String given, String name, String displayName, String password) {
        if (code.isEmpty() || !isNeeded() || !Fingerprint.same(code.get(), given.strip())) {
            return false;
        }
        accounts.requireGood(password, Accounts.signInName(name), displayName);
        accounts.create(
                new Colleague(
                        Accounts.signInName(name),
                        displayName,
                        Set.of(Role.COORDINATOR, Role.ADMINISTRATOR),
                        "",
                        false,
                        false,
                        false),
                password,
                Accounts.signInName(name));
        code = Optional.empty();
        return true;
    }

    private synchronized void make() {
        String made = PlainLetters.random(LENGTH);
        code = Optional.of(made);
        LOG.info("There is no account yet. The code for creating the first one: {}", made);
    }
}
