package dipstick.core.evaluate;

import java.util.Optional;

/** Somebody who is on the list, or to check. */
public record ListMember(int person, State state, Due due, Optional<String> band) {
    public enum State {
        ON("on"),
        CHECK("check");

        private final String word;

        State(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }
}
