package dipstick.intake.describe;

import java.util.List;

/** A document that is no intake. */
public final class InvalidIntake extends Exception {
    private static final long serialVersionUID = 1L;

    private final transient List<String> problems;

    /** @param problems each with a JSON Pointer to the spot, and a sentence */
    public InvalidIntake(List<String> problems) {
        super(String.join(" ", problems));
        this.problems = List.copyOf(problems);
    }

    public List<String> problems() {
        return problems;
    }
}
