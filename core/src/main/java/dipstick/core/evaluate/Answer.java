package dipstick.core.evaluate;

import dipstick.core.Outcome;
import java.util.BitSet;
import java.util.List;

/**
 * The answer to a test for everybody: those whose answer is yes, and those for whom it is can't tell; everybody else is
 * a no. The two sets are disjoint. Answers are never changed once made; each operation makes a new one.
 */
public record Answer(BitSet yes, BitSet unsure) {
    /** Of bits as a bit set has them. */
    static Answer of(long[] yes, long[] unsure) {
        return new Answer(BitSet.valueOf(yes), BitSet.valueOf(unsure));
    }

    static Answer nobody() {
        return new Answer(new BitSet(), new BitSet());
    }

    static Answer everybody(int people) {
        return new Answer(range(people), new BitSet());
    }

    public Outcome of(int person) {
        return yes.get(person) ? Outcome.YES : unsure.get(person) ? Outcome.UNSURE : Outcome.NO;
    }

    public int yesCount() {
        return yes.cardinality();
    }

    public int unsureCount() {
        return unsure.cardinality();
    }

    /** Everybody who is, or may be, a yes. */
    public BitSet possible() {
        BitSet possible = copy(yes);
        possible.or(unsure);
        return possible;
    }

    /** Yes and no change places; can't tell stays. */
    Answer not(int people) {
        BitSet no = range(people);
        no.andNot(yes);
        no.andNot(unsure);
        return new Answer(no, copy(unsure));
    }

    Answer and(Answer other) {
        BitSet both = copy(yes);
        both.and(other.yes);
        if (unsure.isEmpty() && other.unsure.isEmpty()) {
            return new Answer(both, new BitSet());
        }
        BitSet open = possible();
        open.and(other.possible());
        open.andNot(both);
        return new Answer(both, open);
    }

    Answer or(Answer other) {
        BitSet either = copy(yes);
        either.or(other.yes);
        BitSet open = copy(unsure);
        open.or(other.unsure);
        open.andNot(either);
        return new Answer(either, open);
    }

    /** The answer within a population; outside it everybody is a no. */
    Answer within(BitSet population) {
        BitSet inside = copy(yes);
        inside.and(population);
        BitSet open = copy(unsure);
        open.and(population);
        return new Answer(inside, open);
    }

    Answer unsureMeets() {
        return new Answer(possible(), new BitSet());
    }

    Answer unsureFails() {
        return new Answer(copy(yes), new BitSet());
    }

    /** Yes for those with {@code count} or more yes answers, no for those who cannot reach it. */
    static Answer atLeast(int count, List<Answer> answers, int people) {
        BitTally certain = new BitTally();
        BitTally possible = new BitTally();
        for (Answer answer : answers) {
            certain.add(answer.yes);
            possible.add(answer.possible());
        }
        BitSet yes = certain.atLeast(count, people);
        BitSet unsure = possible.atLeast(count, people);
        unsure.andNot(yes);
        return new Answer(yes, unsure);
    }

    static BitSet range(int people) {
        BitSet everybody = new BitSet(people);
        everybody.set(0, people);
        return everybody;
    }

    private static BitSet copy(BitSet set) {
        return (BitSet) set.clone();
    }
}
