package dipstick.server.accounts;

import dipstick.server.practice.PracticeSettings;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
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

    /** Letters and digits that cannot be taken for one another. */
    private static final String ALPHABET = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 10;

    static final int SHORTEST_PASSWORD = 10;

    /** After so many wrong codes a new one is made, so that it cannot be guessed. */
    private static final int MOST_TRIES = 10;

    private final Accounts accounts;
    private final PracticeSettings settings;
    private Optional<String> code = Optional.empty();
    private int wrongTries;

    FirstAccount(Accounts accounts, PracticeSettings settings) {
        this.accounts = accounts;
        this.settings = settings;
    }

    @EventListener(ApplicationReadyEvent.class)
    void offer() {
        if (accounts.none() && !settings.demo()) {
            renew();
        }
    }

    boolean isNeeded() {
        return accounts.none();
    }

    /** Creates the account if the code is right; says whether it was. */
    synchronized boolean create(String given, String name, String displayName, String password) {
        if (code.isEmpty() || !isNeeded() || !isEqual(code.get(), given)) {
            wrongTries++;
            if (code.isPresent() && wrongTries >= MOST_TRIES) {
                renew();
            }
            return false;
        }
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

    private synchronized void renew() {
        SecureRandom random = new SecureRandom();
        StringBuilder made = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            made.append(ALPHABET.charAt(random.nextInt(ALPHABET.length())));
        }
        wrongTries = 0;
        code = Optional.of(made.toString());
        LOG.info("There is no account yet. The code for creating the first one: {}", made);
    }

    private static boolean isEqual(String one, String other) {
        return MessageDigest.isEqual(
                one.getBytes(StandardCharsets.UTF_8), other.strip().getBytes(StandardCharsets.UTF_8));
    }
}
