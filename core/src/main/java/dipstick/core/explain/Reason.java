package dipstick.core.explain;

import dipstick.core.Outcome;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * Why a test answers as it does for one person.
 *
 * @param words one plain sentence with the dates and values that matter
 * @param witness the numbers of the events that make it so: with these records alone the answer is the same. Where enough
 *     records count, it is all that count, so that without them there are not enough.
 * @param nearest the event that nearly counted, where the answer is no
 * @param parts the reasons of a group's parts, or of the criteria of another set
 */
public record Reason(Outcome outcome, String words, List<Integer> witness, OptionalInt nearest, List<Reason> parts) {
    public Reason {
        witness = List.copyOf(witness);
        parts = List.copyOf(parts);
    }

    static Reason of(Outcome outcome, String words, List<Integer> witness) {
        return new Reason(outcome, words, witness, OptionalInt.empty(), List.of());
    }

    /** The witnesses of this and of all its parts. */
    public Stream<Integer> wholeWitness() {
        return Stream.concat(witness.stream(), parts.stream().flatMap(Reason::wholeWitness));
    }
}
