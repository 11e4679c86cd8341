package dipstick.server.files;

import dipstick.intake.make.Trouble;
import java.util.List;

/**
 * What is wrong with a file that was read, for whoever waits for it.
 *
 * @param openDates whether days could be read either way
 * @param rows how many rows hold something that cannot be read
 * @param first the first of it, in sentences
 */
public record WrongRows(boolean openDates, int rows, List<String> first) {
    private static final int MOST_TOLD = 20;

    public WrongRows {
        first = List.copyOf(first);
    }

    public static WrongRows of(List<Trouble> troubles) {
        return new WrongRows(
                troubles.stream().anyMatch(one -> one.reason() == Trouble.Reason.DATE_EITHER_WAY),
                (int) troubles.stream().map(Trouble::line).distinct().count(),
                troubles.stream()
                        .limit(MOST_TOLD)
                        .map(one -> "Line " + one.line() + ": " + one.said())
                        .toList());
    }
}
