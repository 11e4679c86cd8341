package dipstick.core.evaluate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How many people there are at each level (criteria.md section 4, levels). The counts of different people add up, so the
 * parts of a divided population can be read apart.
 */
public record LevelCounts(
        int people, int deceased, List<OfCriterion> criteria, Sides eligible, Sides eligibleAndHas, Sides list) {
    public LevelCounts {
        criteria = List.copyOf(criteria);
    }

    /** Certain and can't tell. */
    public record Sides(int yes, int unsure) {
        static Sides of(Answer answer) {
            return new Sides(answer.yesCount(), answer.unsureCount());
        }

        Sides plus(Sides other) {
            return new Sides(yes + other.yes, unsure + other.unsure);
        }
    }

    public record OfCriterion(Level.Section section, String criterion, Sides alone, Optional<Sides> remaining) {
        OfCriterion plus(OfCriterion other) {
            return new OfCriterion(
                    section,
                    criterion,
                    alone.plus(other.alone),
                    remaining.flatMap(mine -> other.remaining.map(mine::plus)));
        }
    }

    public static LevelCounts of(Reading reading) {
        return new LevelCounts(
                reading.people().cardinality(),
                reading.deceased(),
                reading.levels().stream()
                        .map(level -> new OfCriterion(
                                level.section(),
                                level.criterion().id(),
                                Sides.of(level.alone()),
                                level.remaining().map(Sides::of)))
                        .toList(),
                Sides.of(reading.eligible()),
                Sides.of(reading.eligibleAndHas()),
                Sides.of(reading.list()));
    }

    /** The counts of these people and of others together, by the same criteria set. */
    public LevelCounts plus(LevelCounts other) {
        List<OfCriterion> added = new ArrayList<>();
        for (int i = 0; i < criteria.size(); i++) {
            added.add(criteria.get(i).plus(other.criteria.get(i)));
        }
        return new LevelCounts(
                people + other.people,
                deceased + other.deceased,
                added,
                eligible.plus(other.eligible),
                eligibleAndHas.plus(other.eligibleAndHas),
                list.plus(other.list));
    }
}
