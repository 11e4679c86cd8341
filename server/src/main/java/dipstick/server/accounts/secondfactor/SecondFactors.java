package dipstick.server.accounts.secondfactor;

import dev.samstevens.totp.code.CodeGenerator;
import dev.samstevens.totp.code.DefaultCodeGenerator;
import dev.samstevens.totp.exceptions.CodeGenerationException;
import dev.samstevens.totp.exceptions.QrGenerationException;
import dev.samstevens.totp.qr.QrData;
import dev.samstevens.totp.qr.ZxingPngQrGenerator;
import dev.samstevens.totp.secret.DefaultSecretGenerator;
import dev.samstevens.totp.util.Utils;
import dipstick.core.text.Fingerprint;
import dipstick.server.practice.PracticeSettings;
import dipstick.server.practice.Today;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.LongStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The second factor of accounts. Codes have six digits and go by periods of 30 s (RFC 6238); one of the period before or
 * after is taken too, for clocks that are off (section 6), and none is taken twice (section 5.2).
 */
@Service
public class SecondFactors {
    private static final int PERIOD_SECONDS = 30;
    private static final int PERIODS_OFF = 1;
    private static final int SECRET_LETTERS = 32;

    /** As it is typed, with what parts it. */
    private static final int LONGEST_CODE = 40;

    private final SecondFactorMapper factors;
    private final RecoveryCodes recovery;
    private final PracticeSettings practice;
    private final Today today;
    private final CodeGenerator codes = new DefaultCodeGenerator();

    SecondFactors(SecondFactorMapper factors, RecoveryCodes recovery, PracticeSettings practice, Today today) {
        this.factors = factors;
        this.recovery = recovery;
        this.practice = practice;
        this.today = today;
    }

    /**
     * What a device needs to make codes; nothing is kept of it before a code shows that it does.
     *
     * @param secret in base 32
     * @param address of the form {@code otpauth://totp/…}
     * @param picture the address as a square to be scanned, as a {@code data:} address
     */
    public record NewSecret(String secret, String address, String picture) {}

    /** @param recoveryCodes how many are left */
    public record InUse(Instant since, int recoveryCodes) {}

    public Optional<InUse> of(String account) {
        return factors.find(account).map(row -> new InUse(row.since(), factors.recoveryCodes(account)));
    }

    public boolean isInUse(String account) {
        return factors.find(account).isPresent();
    }

    public NewSecret offer(String account) {
        String secret = new DefaultSecretGenerator(SECRET_LETTERS).generate();
        QrData data = new QrData.Builder()
                .label(account)
                .issuer(practice.practice())
                .secret(secret)
                .period(PERIOD_SECONDS)
                .build();
        try {
            ZxingPngQrGenerator picture = new ZxingPngQrGenerator();
            return new NewSecret(
                    secret,
                    data.getUri(),
                    Utils.getDataUriForImage(picture.generate(data), picture.getImageMimeType()));
        } catch (QrGenerationException broken) {
            throw new IllegalStateException("An address of " + data.getUri().length() + " letters fits", broken);
        }
    }

    /** Puts it to use once a code shows that the device has the secret; gives the recovery codes, or nothing else. */
    @Transactional
    public Optional<List<String>> putToUse(String account, String secret, String code) {
        OptionalLong counter = counterOf(secret, code);
        if (counter.isEmpty()) {
            return Optional.empty();
        }
        factors.put(account, new SecondFactorMapper.Row(secret, counter.getAsLong(), today.now()));
        return Optional.of(recovery.make(account));
    }

    /** New recovery codes; those from before are good no more. */
    @Transactional
    public List<String> newRecoveryCodes(String account) {
        return recovery.make(account);
    }

    @Transactional
    public void remove(String account) {
        factors.deleteRecoveryCodes(account);
        factors.delete(account);
    }

    /** Whether this is a code of now, or a recovery code, that was not used before; it is used with that. */
    @Transactional
    public boolean use(String account, String code) {
        return code.length() <= LONGEST_CODE
                && (factors.find(account)
                                .map(row -> counterOf(row.secret(), code))
                                .filter(OptionalLong::isPresent)
                                .filter(counter -> factors.use(account, counter.getAsLong()) == 1)
                                .isPresent()
                        || recovery.use(account, code));
    }

    /** The number of the period whose code this is, if it is about now. */
    private OptionalLong counterOf(String secret, String code) {
        String typed = code.replaceAll("\\s", "");
        long now = Math.floorDiv(today.now().getEpochSecond(), PERIOD_SECONDS);
        return LongStream.rangeClosed(now - PERIODS_OFF, now + PERIODS_OFF)
                .filter(counter -> Fingerprint.same(codeOf(secret, counter), typed))
                .findFirst();
    }

    private String codeOf(String secret, long counter) {
        try {
            return codes.generate(secret, counter);
        } catch (CodeGenerationException broken) {
            throw new IllegalStateException("A secret of ours makes codes", broken);
        }
    }
}
