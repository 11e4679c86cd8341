package dipstick.core.evaluate;

import dipstick.core.criteria.Test;
import java.util.BitSet;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Keeps the answers of the tests that were asked last, so that an edit costs one test. After some people were read anew the
 * answers of before still hold for everybody else: only those few are asked again.
 */
final class AnswerCache {
    /** What was not asked for so many changes is forgotten. */
    private static final int MOST_CHANGES = 4;

    private final KeptAnswers kept;
    private volatile Optional<Before> before;

    /**
     * The answers before a change.
     *
     * @param anew asks those who were read anew, and {@code numbers} are theirs among everybody
     */
    private record Before(AnswerCache answers, Evaluator anew, int[] numbers) {
        Answer changed(Test test, Answer answer) {
            BitSet yes = (BitSet) answer.yes().clone();
            BitSet unsure = (BitSet) answer.unsure().clone();
            Answer now = anew.answer(test);
            for (int person = 0; person < numbers.length; person++) {
                yes.set(numbers[person], now.yes().get(person));
                unsure.set(numbers[person], now.unsure().get(person));
            }
            return new Answer(yes, unsure);
        }
    }

    AnswerCache(KeptAnswers kept) {
        this.kept = kept;
        this.before = Optional.empty();
    }

    private AnswerCache(Before before) {
        this.kept = before.answers().kept;
        this.before = Optional.of(before);
        forgetBefore(MOST_CHANGES);
    }

    /** These answers, but of those who were read anew what the evaluator of them alone says. */
    AnswerCache after(Evaluator anew, int[] numbers) {
        return new AnswerCache(new Before(this, anew, numbers));
    }

    private void forgetBefore(int changes) {
        if (changes == 0) {
            before.ifPresent(one -> one.answers().forget());
            before = Optional.empty();
        } else {
            before.ifPresent(one -> one.answers().forgetBefore(changes - 1));
        }
    }

    /** Makes room, where nobody will ask any more. */
    void forget() {
        kept.forget(this);
        before.ifPresent(one -> one.answers().forget());
    }

    /** The answer, if it is kept, or was before. */
    Optional<Answer> known(Test test) {
        Optional<Answer> found = kept.find(this, test);
        if (found.isPresent()) {
            return found;
        }
        Optional<Answer> changed =
                before.flatMap(one -> one.answers().known(test).map(answer -> one.changed(test, answer)));
        changed.ifPresent(answer -> keep(test, answer));
        return changed;
    }

    void keep(Test test, Answer answer) {
        kept.keep(this, test, answer);
    }

    /** The kept answer, or the one that is now computed and kept. */
    Answer get(Test test, Supplier<Answer> compute) {
        Optional<Answer> known = known(test);
        kept.asked(known.isPresent());
        return known.orElseGet(() -> {
            Answer answer = compute.get();
            keep(test, answer);
            return answer;
        });
    }
}
