package dipstick.core.wording;

import java.util.Optional;

/** A run of words of a sentence, some of which can be changed in place. */
public record Phrase(String text, Optional<Slot> slot) {
    static Phrase plain(String text) {
        return new Phrase(text, Optional.empty());
    }

    static Phrase slot(String text, String pointer, Slot.Control control) {
        return new Phrase(text, Optional.of(new Slot(pointer, control)));
    }
}
