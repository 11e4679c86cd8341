package dipstick.region.evaluate;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.InvalidCriteria;
import dipstick.core.parts.AskedRecords;
import dipstick.core.parts.PartAnswer;
import dipstick.core.parts.Question;
import dipstick.core.population.Population;
import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/** A question as it is at a worker: its documents, with their rosters and the other sets, are read once, not for each part. */
final class SharedQuestion implements Serializable {
    private final Question question;
    private final PartAnswer.Wanted wanted;
    private transient @Nullable CriteriaSet set;
    private transient @Nullable AskedRecords asked;

    SharedQuestion(Question question, PartAnswer.Wanted wanted) {
        this.question = question;
        this.wanted = wanted;
    }

    Question question() {
        return question;
    }

    private synchronized CriteriaSet set() {
        CriteriaSet read = set;
        if (read == null) {
            try {
                read = question.read();
            } catch (InvalidCriteria neverSent) {
                throw new IllegalStateException("Criteria that were read before they were sent", neverSent);
            }
            set = read;
        }
        return read;
    }

    synchronized AskedRecords asked() {
        AskedRecords of = asked;
        if (of == null) {
            of = new AskedRecords(set());
            asked = of;
        }
        return of;
    }

    PartAnswer answer(Population part) {
        return PartAnswer.of(part, set(), question.asOf(), wanted);
    }
}
