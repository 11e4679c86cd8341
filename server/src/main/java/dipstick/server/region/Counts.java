package dipstick.server.region;

import dipstick.core.evaluate.LevelCounts;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * How many people of a practice, or of a region, there are; nothing where a number is too small to be told.
 *
 * @param people in the population
 */
record Counts(Optional<Integer> people, Optional<Integer> eligible, Optional<Integer> has, Optional<Integer> onList) {
    /** As the levels of a region say them. */
    static Counts of(JsonNode levels) {
        return new Counts(
                number(levels.at("/population/people")),
                number(levels.at("/eligible/yes")),
                number(levels.at("/has/yes")),
                number(levels.at("/list/yes")));
    }

    static Counts of(LevelCounts levels) {
        return new Counts(
                Optional.of(levels.people()),
                Optional.of(levels.eligible().yes()),
                Optional.of(levels.eligibleAndHas().yes()),
                Optional.of(levels.list().yes()));
    }

    private static Optional<Integer> number(JsonNode number) {
        return number.isInt() && number.asInt() >= 0 ? Optional.of(number.asInt()) : Optional.empty();
    }

    /**
     * Whoever has it of those who should, or else whoever is on the list of all people.
     *
     * @return nothing where it is not told, or there is nobody
     */
    Optional<Portion> share(boolean shouldHave) {
        Optional<Integer> part = shouldHave ? has : onList;
        Optional<Integer> whole = shouldHave ? eligible : people;
        return part.flatMap(some -> whole.filter(all -> all > 0 && all >= some).map(all -> new Portion(some, all)));
    }
}
