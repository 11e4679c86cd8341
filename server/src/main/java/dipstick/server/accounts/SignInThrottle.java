package dipstick.server.accounts;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dipstick.server.practice.Today;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * Slows the guessing of passwords without keeping anybody out. Wrong ones are counted for an account from an address, and
 * for an address whatever the account, and what comes next has to wait, each time longer. An account that is tried from
 * many addresses has every new one wait first, but only shortly; an address from which an account signed in before never
 * waits for what others do elsewhere, and never long. What is tried while it has to wait is not looked at and not counted.
 */
@Component
class SignInThrottle {
    /** For which nobody waits: people mistype. */
    private static final int FREE_TRIES = 4;
    /** From one address, whatever the account: a practice may have one address for everybody. */
    private static final int FREE_TRIES_OF_ADDRESS = 20;
    /** For one account, from wherever. */
    private static final int FREE_TRIES_OF_ACCOUNT = 10;

    private static final Duration FIRST_PAUSE = Duration.ofSeconds(2);
    private static final Duration LONGEST_PAUSE = Duration.ofMinutes(15);
    private static final Duration LONGEST_PAUSE_OF_ADDRESS = Duration.ofMinutes(1);
    private static final Duration SHORT_PAUSE = Duration.ofSeconds(5);

    /** After so long without a wrong one it is forgotten. */
    private static final Duration REMEMBERED = Duration.ofHours(1);
    /** So that made-up names and addresses cannot fill the memory. */
    private static final int MOST_REMEMBERED = 20_000;

    private record Pair(String account, String address) {}

    private record Failures(int count, Instant waitUntil) {
        static final Failures NONE = new Failures(0, Instant.EPOCH);
    }

    private final AccountMapper accounts;
    private final Today today;
    private final Cache<Pair, Failures> ofPair = remembered();
    private final Cache<String, Failures> ofAddress = remembered();
    private final Cache<String, Failures> ofAccount = remembered();
    private final Cache<String, Failures> ofCode = remembered();

    SignInThrottle(AccountMapper accounts, Today today) {
        this.accounts = accounts;
        this.today = today;
    }

    private static <K> Cache<K, Failures> remembered() {
        return Caffeine.newBuilder()
                .maximumSize(MOST_REMEMBERED)
                .expireAfterWrite(REMEMBERED)
                .build();
    }

    /** How long this account has to wait at this address before it may be tried; zero where it may be now. */
    Duration mustWait(String account, String address) {
        Pair pair = new Pair(account, address);
        boolean known = isKnown(pair);
        Failures own = ofPair.get(pair, _ -> known ? Failures.NONE : firstAt(account));
        Duration wait = left(own);
        Duration ofOthers = known ? Duration.ZERO : left(failures(ofAddress, address));
        return wait.compareTo(ofOthers) > 0 ? wait : ofOthers;
    }

    /** An account that is being guessed has every new address wait once, and shortly. */
    private Failures firstAt(String account) {
        return failures(ofAccount, account).count() < FREE_TRIES_OF_ACCOUNT
                ? Failures.NONE
                : new Failures(0, today.now().plus(SHORT_PAUSE));
    }

    void failed(String account, String address) {
        Pair pair = new Pair(account, address);
        count(ofPair, pair, FREE_TRIES, isKnown(pair) ? SHORT_PAUSE : LONGEST_PAUSE);
        count(ofAddress, address, FREE_TRIES_OF_ADDRESS, LONGEST_PAUSE_OF_ADDRESS);
        count(ofAccount, account, FREE_TRIES_OF_ACCOUNT, LONGEST_PAUSE);
    }

    /** Clears what the account did wrong here; what others are guessed for from here stays. */
    void succeeded(String account, String address) {
        ofPair.invalidate(new Pair(account, address));
        accounts.signedInFrom(account, address, today.now());
    }

    /**
     * Whether the second factor's codes have to wait. They are short, and whoever tries one knows the password: wrong ones
     * are counted for the account, from wherever.
     */
    boolean codeMustWait(String account) {
        return left(failures(ofCode, account)).isPositive();
    }

    void codeFailed(String account) {
        count(ofCode, account, FREE_TRIES, LONGEST_PAUSE);
    }

    void codeSucceeded(String account) {
        ofCode.invalidate(account);
    }

    /** How long somebody has to wait, rounded up. */
    static String words(Duration wait) {
        long seconds = wait.toSeconds() + 1;
        if (seconds < 60) {
            return seconds + (seconds == 1 ? " second" : " seconds");
        }
        return seconds / 60 + 1 + " minutes";
    }

    private boolean isKnown(Pair pair) {
        return accounts.hasSignedInFrom(pair.account(), pair.address());
    }

    private Duration left(Failures failures) {
        Duration left = Duration.between(today.now(), failures.waitUntil());
        return left.isNegative() ? Duration.ZERO : left;
    }

    private static <K> Failures failures(Cache<K, Failures> of, K key) {
        return of.asMap().getOrDefault(key, Failures.NONE);
    }

    private <K> void count(Cache<K, Failures> of, K key, int free, Duration longest) {
        of.asMap().compute(key, (_, before) -> {
            int count = (before == null ? 0 : before.count()) + 1;
            return new Failures(count, today.now().plus(pause(count - free, longest)));
        });
    }

    /** Twice as long each time. */
    private static Duration pause(int beyondFree, Duration longest) {
        if (beyondFree < 0) {
            return Duration.ZERO;
        }
        Duration pause = FIRST_PAUSE.multipliedBy(1L << Math.min(beyondFree, 10));
        return pause.compareTo(longest) < 0 ? pause : longest;
    }
}
