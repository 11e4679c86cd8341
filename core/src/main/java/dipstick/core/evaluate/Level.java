package dipstick.core.evaluate;

import dipstick.core.criteria.Criterion;
import java.util.Optional;

/**
 * What one criterion leaves.
 *
 * @param alone its own answers within the population, before {@code unsure} turns can't tell into anything else
 * @param remaining who is left after it and those before it; nothing for what should be on record
 */
public record Level(Section section, Criterion criterion, Answer alone, Optional<Answer> remaining) {
    public enum Section {
        INCLUDE("include"),
        EXCLUDE("exclude"),
        SHOULD_HAVE("shouldHave");

        private final String key;

        Section(String key) {
            this.key = key;
        }

        /** The key of the section in the document. */
        public String key() {
            return key;
        }
    }
}
