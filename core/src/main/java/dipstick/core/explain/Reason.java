package dipstick.core.explain;

import dipstick.core.Outcome;
import java.util.List;

/**
 * Why a test answers as it does for one person.
 *
 * @param words one plain sentence with the dates and values that matter
 * @param records the numbers of the events that it speaks of
 * @param parts the reasons of a group's parts
 */
public record Reason(Outcome outcome, String words, List<Integer> records, List<Reason> parts) {
    public Reason {
        records = List.copyOf(records);
        parts = List.copyOf(parts);
    }
}
