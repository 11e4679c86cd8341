package dipstick.intake.propose;

import dipstick.intake.describe.Intake;
import java.util.List;

/**
 * What a file that nobody knows may mean.
 *
 * @param intake as far as it was found out; where something is open it stands at what does no harm
 * @param choices what became of each column, in their order
 * @param questions what only a person can say
 * @param format the format of the file, in words
 * @param headerLine where the header stands, counted from 1
 * @param rows how many rows there are below it
 */
public record Proposal(
        Intake intake, List<Choice> choices, List<Question> questions, String format, long headerLine, int rows) {
    public Proposal {
        choices = List.copyOf(choices);
        questions = List.copyOf(questions);
    }

    /** The same, its intake with another id. */
    public Proposal called(String id) {
        return new Proposal(intake.called(id), choices, questions, format, headerLine, rows);
    }

    /**
     * A column.
     *
     * @param becomes the fields that are made of it, in words; empty where it is left out
     */
    public record Choice(
            String column, List<String> becomes, Certainty certainty, int values, int blanks, List<String> examples) {
        public Choice {
            becomes = List.copyOf(becomes);
            examples = List.copyOf(examples);
        }
    }

    public enum Certainty {
        CERTAIN,
        LIKELY,
        LEFT_OUT
    }

    /** @param said a sentence for a person */
    public record Question(What what, String said) {}

    public enum What {
        DATE_ORDER,
        DECIMAL,
        KIND,
        WHOSE,
        NOTHING_MADE
    }
}
