package dipstick.core.records;

/**
 * What is wrong with one line of a file.
 *
 * @param line the line on which the row starts, counted from 1
 * @param column the column's name, empty where the whole row is meant
 * @param reason what is wrong and what would be right, as a sentence for a person
 */
public record RowProblem(long line, String column, String reason) {}
