package dipstick.server.accounts.secondfactor;

import dipstick.core.text.Fingerprint;
import dipstick.server.web.PlainLetters;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Codes to write down, each good once, in place of one from a device that is lost. */
@Component
class RecoveryCodes {
    private static final int HOW_MANY = 10;

    /** Too many to be guessed, also by whoever got at what is kept of them. */
    private static final int LETTERS = 16;

    private final SecondFactorMapper factors;

    RecoveryCodes(SecondFactorMapper factors) {
        this.factors = factors;
    }

    /** New ones; those from before are good no more. */
    List<String> make(String account) {
        factors.deleteRecoveryCodes(account);
        List<String> codes = Stream.generate(() -> PlainLetters.random(LETTERS))
                .limit(HOW_MANY)
                .toList();
        codes.forEach(code -> factors.insertRecoveryCode(account, kept(account, code)));
        return codes.stream().map(code -> code.replaceAll("(.{4})(?=.)", "$1-")).toList();
    }

    /** However it is typed. */
    boolean use(String account, String given) {
        String code = given.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
        return code.length() == LETTERS && factors.useRecoveryCode(account, kept(account, code)) == 1;
    }

    private static String kept(String account, String code) {
        return Fingerprint.of(account + " " + code);
    }
}
