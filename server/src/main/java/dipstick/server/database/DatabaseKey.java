package dipstick.server.database;

import com.google.crypto.tink.subtle.AesGcmHkdfStreaming;
import com.google.crypto.tink.subtle.Hkdf;
import dipstick.core.population.Snapshot;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.util.HexFormat;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * With which everything that is kept is encrypted on the disk: the database by its own cipher (AES in XTS mode), its backups
 * with it, and the snapshot (AES-GCM in segments).
 *
 * @param hex what the key that was given becomes; empty where nothing is encrypted
 */
public record DatabaseKey(String hex) {
    public static final String SETTING = "dipstick.database.key";

    /** None of those that can be tried one after the other. */
    private static final int SHORTEST = 20;

    private static final int KEY_BYTES = 32;
    private static final String HASH = "HmacSha256";
    private static final byte[] WHAT_FOR = "the records of a practice".getBytes(StandardCharsets.UTF_8);
    private static final int SEGMENT_BYTES = 1 << 16;

    /**
     * The one that is set, or that the file holds which is set.
     *
     * @param settings gives what is set under a name, empty for nothing
     * @throws IllegalArgumentException with a sentence, where it cannot be read or is too short
     */
    public static DatabaseKey of(UnaryOperator<String> settings) {
        String given = settings.apply(SETTING);
        String file = settings.apply(SETTING + "-file");
        if (!file.isBlank()) {
            given = read(Path.of(file));
        }
        if (given.isBlank()) {
            return new DatabaseKey("");
        }
        if (given.strip().length() < SHORTEST) {
            throw new IllegalArgumentException("The key of the database has fewer than " + SHORTEST
                    + " characters; make one that nobody can guess.");
        }
        return new DatabaseKey(HexFormat.of().formatHex(derived(given.strip())));
    }

    /** By HKDF (RFC 5869): as long as the ciphers want it, and of letters and figures alone, as H2 does. */
    private static byte[] derived(String given) {
        try {
            return Hkdf.computeHkdf(HASH, given.getBytes(StandardCharsets.UTF_8), new byte[0], WHAT_FOR, KEY_BYTES);
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("This machine has no SHA-256", impossible);
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException unreadable) {
            throw new IllegalArgumentException("The key of the database cannot be read from " + file + ".", unreadable);
        }
    }

    public boolean isGiven() {
        return !hex.isEmpty();
    }

    /** An address of the database, with what the key asks for. */
    public String url(String plain) {
        return isGiven() ? plain + ";CIPHER=AES" : plain;
    }

    /** As H2 wants it: the key, a space, and the password of the account, which is empty. */
    public String password() {
        return isGiven() ? hex + " " : "";
    }

    /** For the snapshot; nothing where it stands as it is. */
    public Optional<Snapshot.Envelope> envelope() {
        return isGiven() ? Optional.of(new Sealed(cipher())) : Optional.empty();
    }

    private AesGcmHkdfStreaming cipher() {
        try {
            return new AesGcmHkdfStreaming(HexFormat.of().parseHex(hex), HASH, KEY_BYTES, SEGMENT_BYTES, 0);
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException("This machine has no AES-GCM", impossible);
        }
    }

    /** It does not print itself: it would stand in a log. */
    @Override
    public String toString() {
        return isGiven() ? "a key" : "no key";
    }

    private record Sealed(AesGcmHkdfStreaming cipher) implements Snapshot.Envelope {
        private static final byte[] WHAT = "snapshot".getBytes(StandardCharsets.UTF_8);

        @Override
        public OutputStream around(OutputStream out) throws IOException {
            try {
                return cipher.newEncryptingStream(out, WHAT);
            } catch (GeneralSecurityException failure) {
                throw new IOException(failure);
            }
        }

        @Override
        public InputStream inside(InputStream in) throws IOException {
            try {
                return cipher.newDecryptingStream(in, WHAT);
            } catch (GeneralSecurityException failure) {
                throw new IOException(failure);
            }
        }
    }
}
