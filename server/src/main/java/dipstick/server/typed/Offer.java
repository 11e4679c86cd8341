package dipstick.server.typed;

import dipstick.core.typed.Expected;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * Something to go on typing with.
 *
 * @param from where it begins in what was typed; what stands from there on is replaced by it
 * @param words as they are typed
 * @param says what else is to be known of it, else empty
 * @param count how many records, or people, have it, where that is counted
 * @param members of the term set that would have to be made first, for terms that are in none
 */
record Offer(int from, String words, Expected.What what, String says, Optional<Integer> count, List<JsonNode> members) {
    static Offer plain(int from, String words, Expected.What what) {
        return new Offer(from, words, what, "", Optional.empty(), List.of());
    }

    static Offer counted(Expected one, String words, int count) {
        return new Offer(one.from(), words, one.what(), "", Optional.of(count), List.of());
    }
}
