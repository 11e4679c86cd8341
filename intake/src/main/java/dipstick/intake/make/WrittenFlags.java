package dipstick.intake.make;

import dipstick.core.text.NormalText;
import java.util.Optional;
import java.util.Set;

/** Reads flags as people tick them. */
final class WrittenFlags {
    private static final Set<String> YES =
            Set.of("true", "yes", "y", "1", "x", "✓", "t", "ja", "j", "oui", "o", "sí", "si", "sì", "sim", "s", "wahr");
    private static final Set<String> NO = Set.of("false", "no", "n", "0", "f", "nein", "non", "nee", "não", "falsch");

    private WrittenFlags() {}

    static Optional<Boolean> read(String text) {
        String word = NormalText.of(text);
        return YES.contains(word) ? Optional.of(true) : NO.contains(word) ? Optional.of(false) : Optional.empty();
    }
}
