package dipstick.core.text;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What tells a text from every other, and from which it cannot be had back (SHA-256, FIPS 180-4). */
public final class Fingerprint {
    private Fingerprint() {}

    /** 64 hexadecimal digits, of the text as UTF-8. */
    public static String of(String text) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("Every Java platform has SHA-256", missing);
        }
    }

    /** Whether two secrets are the same, in a time that tells nothing of where they differ. */
    public static boolean same(String one, String other) {
        return MessageDigest.isEqual(one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
    }
}
