package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Test.End;
import java.util.function.IntFunction;

/** Which of some matching events may be the latest, or the earliest (criteria.md section 3). */
record Candidates(End end, Seen seen) {
    /**
     * The answer where each candidate answers for itself: the one that all agree on, else can't tell. Where no match is
     * certain, that there is none is one more candidate, which answers no.
     *
     * @param answerOf by place in the matches
     */
    Outcome agreed(Matches matches, IntFunction<Outcome> answerOf) {
        if (matches.size() == 0) {
            return Outcome.NO;
        }
        Outcome agreed = matches.certainCount() == 0 ? Outcome.NO : null;
        int limit = limit(matches);
        for (int i = 0; i < matches.size(); i++) {
            if (!mayBe(matches.event(i), limit)) {
                continue;
            }
            Outcome answer = answerOf.apply(i);
            if (agreed != null && agreed != answer) {
                return Outcome.UNSURE;
            }
            agreed = answer;
        }
        return agreed == null ? Outcome.NO : agreed;
    }

    /** The day by which a certain match surely lies at or beyond: the latest first day, or the earliest last day. */
    int limit(Matches matches) {
        int limit = end == End.LATEST ? Integer.MIN_VALUE : Integer.MAX_VALUE;
        for (int i = 0; i < matches.size(); i++) {
            if (matches.isCertain(i)) {
                int event = matches.event(i);
                limit = end == End.LATEST
                        ? Math.max(limit, seen.dates().first(event))
                        : Math.min(limit, seen.dates().last(event));
            }
        }
        return limit;
    }

    boolean mayBe(int event, int limit) {
        return end == End.LATEST
                ? seen.dates().last(event) >= limit
                : seen.dates().first(event) <= limit;
    }
}
