package dipstick.server.web;

import java.security.SecureRandom;
import java.util.stream.Collectors;

/** Secrets that people read and type: capital letters and digits that cannot be taken for one another. */
public final class PlainLetters {
    private static final String ALPHABET = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";
    private static final SecureRandom RANDOM = new SecureRandom();

    private PlainLetters() {}

    /** Each of them holds 5 bits. */
    public static String random(int length) {
        return RANDOM.ints(length, 0, ALPHABET.length())
                .mapToObj(at -> ALPHABET.substring(at, at + 1))
                .collect(Collectors.joining());
    }
}
