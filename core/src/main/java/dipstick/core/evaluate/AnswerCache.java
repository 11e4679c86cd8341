package dipstick.core.evaluate;

import dipstick.core.criteria.Test;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** Keeps the answers of the tests that were asked last, so that an edit costs one test. */
final class AnswerCache {
    /** Enough for the tests of a few dozen criteria sets; an answer takes two bits for each person. */
    private static final int MOST_ANSWERS = 512;

    private final Map<Test, Answer> answers = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Test, Answer> eldest) {
            return size() > MOST_ANSWERS;
        }
    };

    boolean holds(Test test) {
        synchronized (answers) {
            return answers.containsKey(test);
        }
    }

    void keep(Test test, Answer answer) {
        synchronized (answers) {
            answers.put(test, answer);
        }
    }

    /** The kept answer, or the one that is now computed and kept. */
    Answer get(Test test, Supplier<Answer> compute) {
        synchronized (answers) {
            Answer kept = answers.get(test);
            if (kept != null) {
                return kept;
            }
        }
        Answer answer = compute.get();
        keep(test, answer);
        return answer;
    }
}
