package dipstick.core.explain;

import dipstick.core.Outcome;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.evaluate.Answer;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Level;
import dipstick.core.evaluate.Reading;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * The people whose answer changes within a month of the as-of date: the last change up to it, and the first one after.
 * Each day's answer is the engine's own, so what is said here is what a list of that day will say. Not for use by several
 * threads.
 */
public final class NearTheLine {
    /** How many days before and after the as-of date are looked at. */
    public static final int DAYS = 30;

    private static final String DECEASED = "Deceased from this day on.";

    private final CriteriaSet set;
    private final LocalDate asOf;
    private final Function<LocalDate, Evaluator> evaluators;
    private final Map<LocalDate, Reading> readings = new HashMap<>();
    private boolean lookedAhead;

    /** @param evaluators the same records as of another day */
    public NearTheLine(CriteriaSet set, LocalDate asOf, Function<LocalDate, Evaluator> evaluators) {
        this.set = set;
        this.asOf = asOf;
        this.evaluators = evaluators;
    }

    /** Who comes to the list, leaves it, or becomes one to check, by day. */
    public List<Turn> ofList() {
        return turns(Reading::list);
    }

    /** For whom a criterion's own answer changes, among the population, by day. */
    public List<Turn> of(Criterion criterion) {
        return turns(reading -> reading.levels().stream()
                .filter(level -> level.criterion().id().equals(criterion.id()))
                .findFirst()
                .map(Level::alone)
                .orElseThrow());
    }

    private List<Turn> turns(Function<Reading, Answer> answer) {
        lookAhead();
        List<Turn> turns = new ArrayList<>();
        look(answer, -1, turns);
        look(answer, 1, turns);
        turns.sort(Comparator.comparing(Turn::day).thenComparingInt(Turn::person));
        return turns;
    }

    private void lookAhead() {
        if (!lookedAhead) {
            Evaluator.readAhead(
                    set,
                    IntStream.rangeClosed(-DAYS, DAYS)
                            .mapToObj(distance -> evaluators.apply(asOf.plusDays(distance)))
                            .toList());
            lookedAhead = true;
        }
    }

    /** Goes day by day away from the as-of date, and takes each person at the first day with another answer. */
    private void look(Function<Reading, Answer> answer, int direction, List<Turn> turns) {
        Answer now = answerOn(asOf, answer);
        BitSet found = new BitSet();
        for (int distance = 1; distance <= DAYS; distance++) {
            LocalDate day = asOf.plusDays((long) direction * distance);
            Answer then = answerOn(day, answer);
            BitSet differs = differing(now, then);
            differs.andNot(found);
            found.or(differs);
            differs.stream()
                    .forEach(person -> turns.add(
                            direction > 0
                                    ? new Turn(person, day, now.of(person), then.of(person))
                                    : new Turn(person, day.plusDays(1), then.of(person), now.of(person))));
        }
    }

    private Answer answerOn(LocalDate day, Function<Reading, Answer> answer) {
        return answer.apply(reading(day));
    }

    /** The set as of a day, read once. */
    public Reading reading(LocalDate day) {
        return readings.computeIfAbsent(day, any -> evaluators.apply(any).read(set));
    }

    private static BitSet differing(Answer one, Answer other) {
        BitSet differs = (BitSet) one.yes().clone();
        differs.xor(other.yes());
        BitSet open = (BitSet) one.unsure().clone();
        open.xor(other.unsure());
        differs.or(open);
        return differs;
    }

    /** Why a criterion's answer changes, in a sentence. */
    public String why(Turn turn, Criterion criterion) {
        return staysInPopulation(turn) ? words(turn, criterion) : DECEASED;
    }

    private boolean staysInPopulation(Turn turn) {
        return reading(turn.day().minusDays(1)).people().get(turn.person())
                == reading(turn.day()).people().get(turn.person());
    }

    private String words(Turn turn, Criterion criterion) {
        return new TurnWords(evaluators.apply(turn.day().minusDays(1)), evaluators.apply(turn.day()), turn)
                .of(criterion.test());
    }

    /** Why the list's answer changes: the change of the first criterion that changes that day. */
    public String why(Turn turn) {
        if (!staysInPopulation(turn)) {
            return DECEASED;
        }
        Reading before = reading(turn.day().minusDays(1));
        Reading after = reading(turn.day());
        for (int i = 0; i < after.levels().size(); i++) {
            Outcome was = before.levels().get(i).alone().of(turn.person());
            Outcome is = after.levels().get(i).alone().of(turn.person());
            if (was != is) {
                Level level = after.levels().get(i);
                String words = words(turn, level.criterion());
                boolean due = level.section() == Level.Section.SHOULD_HAVE && is.compareTo(was) < 0;
                return due ? "Becomes due: " + Character.toLowerCase(words.charAt(0)) + words.substring(1) : words;
            }
        }
        throw new IllegalStateException("Nothing changes for " + turn);
    }
}
