package dipstick.core.evaluate;

import dipstick.core.Outcome;
import java.util.BitSet;

/** Sets the outcomes of people one by one, then seals them into an {@link Answer}. */
final class AnswerBuilder {
    private final BitSet yes;
    private final BitSet unsure;

    /** @param start everybody's outcome until it is set */
    AnswerBuilder(int people, Outcome start) {
        Answer all = Answer.of(start, people);
        this.yes = all.yes();
        this.unsure = all.unsure();
    }

    void set(int person, Outcome outcome) {
        yes.set(person, outcome == Outcome.YES);
        unsure.set(person, outcome == Outcome.UNSURE);
    }

    Answer seal() {
        return new Answer(yes, unsure);
    }
}
