package dipstick.intake.propose;

import dipstick.core.records.FieldType;
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
 * @param readAs how its bytes were read as rows
 */
public record Proposal(
        Intake intake,
        List<Choice> choices,
        List<Question> questions,
        String format,
        long headerLine,
        int rows,
        ReadAs readAs) {
    public Proposal {
        choices = List.copyOf(choices);
        questions = List.copyOf(questions);
    }

    /** The same, its intake with another id. */
    public Proposal called(String id) {
        return new Proposal(intake.called(id), choices, questions, format, headerLine, rows, readAs);
    }

    /**
     * How the bytes of a file were read as rows; it can be told otherwise.
     *
     * @param sheets the names of all sheets of a workbook; none of another file
     * @param sheet the one that was read; empty where there is none
     * @param encoding of a text, by its name; empty of another file
     * @param separator between the cells of a text; empty of another file
     */
    public record ReadAs(List<String> sheets, String sheet, String encoding, String separator) {
        public ReadAs {
            sheets = List.copyOf(sheets);
        }
    }

    /**
     * A column.
     *
     * @param becomes the fields that are made of it, in words; empty where it is left out
     * @param holds what stands in nearly all of its cells
     */
    public record Choice(
            String column,
            List<String> becomes,
            Certainty certainty,
            FieldType holds,
            int values,
            int blanks,
            List<String> examples) {
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
