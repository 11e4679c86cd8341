package dipstick.intake.propose;

import dipstick.intake.describe.Written;
import dipstick.intake.describe.Written.DateOrder;
import dipstick.intake.describe.Written.Decimal;
import dipstick.intake.propose.Proposal.Question;
import dipstick.intake.propose.Proposal.What;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Finds out how dates and numbers are written, and asks where that can be read in two ways. */
final class HowWritten {
    private final List<ColumnProfile> columns;
    /** Whether anything is made of a column. */
    private final Predicate<String> isUsed;
    /** Whether a column holds values, which may be words as well, such as “negative”. */
    private final Predicate<String> isValue;

    /** Takes what a person has to say. */
    private final Consumer<Question> asks;

    HowWritten(
            List<ColumnProfile> columns, Predicate<String> isUsed, Predicate<String> isValue, Consumer<Question> asks) {
        this.columns = List.copyOf(columns);
        this.isUsed = isUsed;
        this.isValue = isValue;
        this.asks = asks;
    }

    Written written() {
        Map<Boolean, List<ColumnProfile>> withOrder = columns.stream()
                .filter(column -> column.order().isPresent())
                .collect(Collectors.partitioningBy(column -> isUsed.test(column.name())));
        List<ColumnProfile> dated = withOrder.get(true);
        // Where nothing is made of any date, they tell all the same how they are written.
        Set<DateOrder> told = (dated.isEmpty() ? withOrder.get(false) : dated)
                .stream()
                        .map(column -> column.order().orElseThrow())
                        .filter(order -> order != DateOrder.OPEN)
                        .collect(Collectors.toSet());
        boolean mixed = (!dated.isEmpty() && told.size() > 1) || dated.stream().anyMatch(ColumnProfile::hasBothOrders);
        DateOrder order = told.size() == 1 && !mixed ? told.iterator().next() : DateOrder.OPEN;
        if (mixed) {
            asks.accept(new Question(
                    What.DATE_ORDER,
                    "Some dates have the day first and some the month. Say which is right; the others are told."));
        } else if (!dated.isEmpty() && order == DateOrder.OPEN) {
            asks.accept(new Question(
                    What.DATE_ORDER,
                    "Every date could be read either way, such as “" + example(dated.getFirst())
                            + "”. Does the day or the month come first?"));
        }
        int commas = columns.stream()
                .filter(this::holdsNumbers)
                .mapToInt(ColumnProfile::decimalCommas)
                .sum();
        int points = columns.stream()
                .filter(this::holdsNumbers)
                .mapToInt(ColumnProfile::decimalPoints)
                .sum();
        if (commas > 0 && points > 0) {
            asks.accept(new Question(
                    What.DECIMAL, "Some numbers have a decimal comma and some a point. Say which the file means."));
        }
        List<String> empty = columns.stream()
                .flatMap(column -> column.emptyWords().stream())
                .distinct()
                .sorted()
                .toList();
        return new Written(order, 0, commas > points ? Decimal.COMMA : Decimal.POINT, empty);
    }

    private boolean holdsNumbers(ColumnProfile column) {
        return !column.isDates() && (isValue.test(column.name()) || column.isNumbers());
    }

    private static String example(ColumnProfile column) {
        return column.examples().stream().findFirst().orElse("");
    }
}
