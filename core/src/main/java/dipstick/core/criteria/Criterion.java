package dipstick.core.criteria;

import java.util.Optional;

/** One sentence of a criteria set. */
public record Criterion(String id, Optional<String> label, boolean off, Unsure unsure, Test test) {
    /** What a can't-tell answer becomes. */
    public enum Unsure {
        ASK,
        MEETS,
        FAILS
    }
}
