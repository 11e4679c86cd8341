package dipstick.core.export;

/**
 * A column of a list that its set chose.
 *
 * @param name the field of people, or {@code due_on}, {@code band} or {@code state}; of a column of a criterion, its heading
 * @param ofCriterion whether it says what a criterion finds among somebody's records
 */
public record ShownColumn(String name, boolean ofCriterion) {}
