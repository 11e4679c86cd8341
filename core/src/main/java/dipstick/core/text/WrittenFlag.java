package dipstick.core.text;

import java.util.Optional;

/** Flags as they are written in files: true, false, yes, no, 1 or 0, in any case. */
public final class WrittenFlag {
    private WrittenFlag() {}

    public static Optional<Boolean> parse(String text) {
        return switch (NormalText.of(text)) {
            case "true", "yes", "1" -> Optional.of(true);
            case "false", "no", "0" -> Optional.of(false);
            default -> Optional.empty();
        };
    }
}
