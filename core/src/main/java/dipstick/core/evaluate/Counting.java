package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.Count;
import dipstick.core.criteria.Test.Per;
import dipstick.core.population.Codes;
import dipstick.core.population.Events;
import java.util.Arrays;
import java.util.BitSet;

/** Counts matching events, their different days or their different codes (criteria.md section 3, events). */
final class Counting implements EventKernel {
    /** So many keys are compared with each other rather than sorted. */
    private static final int FEW = 8;

    private final Count count;
    private final Per per;
    private final Seen seen;
    private long[] keys = new long[16];

    Counting(Count count, Per per, Seen seen) {
        this.count = count;
        this.per = per;
        this.seen = seen;
    }

    static Answer ofEverybody(EventMatcher matcher, Count count, Per per, Seen seen) {
        int people = seen.population().size();
        if (per != Per.RECORD) {
            return count.hasMost() || count.least() < 1 || count.least() > FEW
                    ? EventKernel.ofEverybody(matcher, () -> new Counting(count, per, seen), seen)
                    : enoughDifferent(matcher, new Counting(count, per, seen));
        }
        if (count.equals(Count.ONE_OR_MORE)) {
            return anyOf(matcher, seen);
        }
        return count.most() == 0 ? anyOf(matcher, seen).not(people) : countOf(matcher, count, seen);
    }

    /** Who has any: the order of events does not matter, so each is only marked at its person. */
    private static Answer anyOf(EventMatcher matcher, Seen seen) {
        int people = seen.population().size();
        Events events = seen.population().events();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> matcher.forEachRow(range, new Raising(events, answer)));
        return answer.seal();
    }

    private record Raising(Events events, AnswerBuilder answer) implements EventMatcher.RowSink {
        @Override
        public void rows(int[] marked, int count) {
            for (int i = 0; i < count; i++) {
                answer.raise(events.owner(Matches.unmarked(marked[i])), marked[i] >= 0);
            }
        }

        @Override
        public void certain(int first, int end, int[] spare) {
            for (int event = first; event < end; event++) {
                answer.raise(events.owner(event), true);
            }
        }
    }

    private static Answer countOf(EventMatcher matcher, Count count, Seen seen) {
        int people = seen.population().size();
        Events events = seen.population().events();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            int[] certain = new int[range.size()];
            int[] possible = new int[range.size()];
            matcher.forEachRow(range, new Adding(events, range.first(), certain, possible));
            answer.setAll(range, certain, possible, count);
        });
        return answer.seal();
    }

    private record Adding(Events events, int firstPerson, int[] certain, int[] possible)
            implements EventMatcher.RowSink {
        @Override
        public void rows(int[] marked, int count) {
            for (int i = 0; i < count; i++) {
                int place = events.owner(Matches.unmarked(marked[i])) - firstPerson;
                (marked[i] >= 0 ? certain : possible)[place]++;
            }
        }

        @Override
        public void certain(int first, int end, int[] spare) {
            for (int event = first; event < end; event++) {
                certain[events.owner(event) - firstPerson]++;
            }
        }
    }

    /**
     * Who has so many different ones at least, where that are few: what is certain and exact is gathered as the rows go by,
     * and only who has not enough of it and something else is looked at more closely.
     */
    private static Answer enoughDifferent(EventMatcher matcher, Counting counting) {
        int people = counting.seen.population().size();
        Events events = counting.seen.population().events();
        int least = counting.count.least();
        AnswerBuilder answer = new AnswerBuilder(people);
        PeopleRange.forEach(people, range -> {
            int[] different = new int[range.size() * least];
            byte[] found = new byte[range.size()];
            BitSet open = new BitSet();
            matcher.forEachRow(range, (marked, rows) -> {
                for (int i = 0; i < rows; i++) {
                    int event = Matches.unmarked(marked[i]);
                    int place = events.owner(event) - range.first();
                    if (found[place] < least) {
                        if (marked[i] < 0 || !counting.isExact(event)) {
                            open.set(place);
                        } else if (isNew(different, place * least, found[place], counting.key(event))) {
                            found[place]++;
                        }
                    }
                }
            });
            for (int place = 0; place < found.length; place++) {
                if (found[place] == least) {
                    open.clear(place);
                    answer.set(range.first() + place, Outcome.YES);
                }
            }
            new Counting(counting.count, counting.per, counting.seen).ofSome(open, matcher, range, answer);
        });
        return answer.seal();
    }

    /** Puts a key after the others, if it is not among them. */
    private static boolean isNew(int[] keys, int from, int found, int key) {
        for (int i = from; i < from + found; i++) {
            if (keys[i] == key) {
                return false;
            }
        }
        keys[from + found] = key;
        return true;
    }

    @Override
    public Outcome answer(Matches matches) {
        return switch (per) {
            case RECORD -> count.answer(matches.certainCount(), matches.size());
            case DAY, CODE -> ofDifferent(matches);
        };
    }

    private Outcome ofDifferent(Matches matches) {
        if (matches.size() < count.least()) {
            return Outcome.NO;
        }
        return surelyEnough(matches) ? Outcome.YES : ofSorted(matches);
    }

    /** Whether as many as are needed are found without looking at all, where more do no harm. */
    private boolean surelyEnough(Matches matches) {
        if (count.hasMost() || count.least() > FEW) {
            return false;
        }
        int found = 0;
        for (int i = 0; i < matches.size() && found < count.least(); i++) {
            int event = matches.event(i);
            if (matches.isCertain(i) && isExact(event) && !isAmong(found, key(event))) {
                keys[found++] = key(event);
            }
        }
        return found >= count.least();
    }

    private boolean isAmong(int found, int key) {
        for (int i = 0; i < found; i++) {
            if (keys[i] == key) {
                return true;
            }
        }
        return false;
    }

    private Outcome ofSorted(Matches matches) {
        Tally tally = tally(matches);
        return count.answer(tally.low(), tally.high());
    }

    /** How many there are for certain, and how many there may be. */
    private record Tally(int low, int high) {}

    /** How many match for certain, by what is counted. */
    int low(Matches matches) {
        return per == Per.RECORD ? matches.certainCount() : tally(matches).low();
    }

    private Tally tally(Matches matches) {
        int exact = 0;
        for (int i = 0; i < matches.size(); i++) {
            if (isExact(matches.event(i))) {
                exact = addKey(exact, key(matches.event(i)), matches.isCertain(i));
            }
        }
        Arrays.sort(keys, 0, exact);
        int certain = 0;
        int possible = 0;
        for (int i = 0; i < exact; i++) {
            if (i == 0 || keys[i] >> 1 != keys[i - 1] >> 1) {
                possible++;
                certain += (keys[i] & 1) == 0 ? 1 : 0;
            }
        }
        int low = Math.max(certain, Math.min(1, matches.certainCount()));
        return new Tally(low, possible + matches.size() - exact);
    }

    /** Certain ones sort before others with the same key. */
    private int addKey(int at, int key, boolean certain) {
        if (at == keys.length) {
            keys = Arrays.copyOf(keys, 2 * at);
        }
        keys[at] = 2L * key + (certain ? 0 : 1);
        return at + 1;
    }

    private boolean isExact(int event) {
        return per == Per.DAY ? seen.dates().isExact(event) : codeOf(event) != Codes.MISSING;
    }

    private int key(int event) {
        return per == Per.DAY ? seen.dates().first(event) : codeOf(event);
    }

    private int codeOf(int event) {
        return seen.population().events().code().codes().get(event);
    }
}
