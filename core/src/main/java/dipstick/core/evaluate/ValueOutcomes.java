package dipstick.core.evaluate;

import dipstick.core.Outcome;
import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Condition;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Asks a condition once of every value in a column, so that a row's outcome is looked up by its code (criteria.md
 * section 3, person field).
 */
final class ValueOutcomes {
    private ValueOutcomes() {}

    /**
     * @param dates the dates by code, where the column holds dates: clipped or not, as the field wants
     * @return the rank of the outcome by code
     */
    static byte[] of(Condition condition, Column column, List<DateRange> dates, LocalDate asOf) {
        byte[] ranks = new byte[column.codeCount()];
        if (condition instanceof Condition.Missing missing) {
            Arrays.fill(ranks, Outcome.of(!missing.missing()).rank());
            ranks[Codes.MISSING] = Outcome.of(missing.missing()).rank();
            return ranks;
        }
        ranks[Codes.MISSING] = Outcome.UNSURE.rank();
        IntFunction<Outcome> ofCode = switch (column) {
            case Column.OfText texts -> {
                Predicate<String> holds = holds(condition);
                yield code -> Outcome.of(holds.test(texts.compared().get(code)));
            }
            case Column.OfTexts texts -> code -> ofWords(condition, texts, code);
            case Column.OfCodings _ -> throw unfit(condition);
            case Column.OfNumber numbers ->
                code -> ofNumber(condition, numbers.numbers().get(code));
            case Column.OfDate _ -> ofDates(condition, dates, asOf);
            case Column.OfFlag _ ->
                code -> Outcome.of(((Condition.FlagIs) condition).flag() == (code == Column.OfFlag.TRUE));
        };
        for (int code = 1; code < ranks.length; code++) {
            ranks[code] = ofCode.apply(code).rank();
        }
        return ranks;
    }

    private static Predicate<String> holds(Condition condition) {
        return switch (condition) {
            case Condition.TextIn in -> {
                Set<String> listed =
                        in.texts().stream().map(ComparedText::compared).collect(Collectors.toSet());
                yield text -> listed.contains(text) != in.negated();
            }
            case Condition.TextStartsWith starts ->
                text -> text.startsWith(starts.start().compared());
            case Condition.TextContains contains ->
                text -> text.contains(contains.part().compared());
            default -> throw unfit(condition);
        };
    }

    /** Several texts hold if any one of them does; for "not in", if none of them is in the list. */
    private static Outcome ofWords(Condition condition, Column.OfTexts texts, int code) {
        if (condition instanceof Condition.TextIn(var listed, var negated) && negated) {
            return ofWords(new Condition.TextIn(listed, false), texts, code).not();
        }
        Predicate<String> holds = holds(condition);
        return Outcome.of(texts.sets().get(code).stream()
                .anyMatch(word -> holds.test(texts.words().get(word))));
    }

    private static Outcome ofNumber(Condition condition, double number) {
        return switch (condition) {
            case Condition.NumberIn in -> Outcome.of(in.numbers().contains(number) != in.negated());
            case Condition.NumberBounds bounds -> Outcome.of(bounds.holds(number));
            default -> throw unfit(condition);
        };
    }

    private static IntFunction<Outcome> ofDates(Condition condition, List<DateRange> dates, LocalDate asOf) {
        return switch (condition) {
            case Condition.DateIn in -> {
                List<DateRange> listed = joined(in.days());
                yield code -> in.negated() ? anyOf(listed, dates.get(code)).not() : anyOf(listed, dates.get(code));
            }
            case Condition.DateBounds bounds -> code -> dates.get(code).liesIn(bounds.days());
            case Condition.DateInWindow(Window window) -> {
                DateRange days = window.daysAsOf(asOf);
                yield code -> dates.get(code).liesIn(days);
            }
            default -> throw unfit(condition);
        };
    }

    private static Outcome anyOf(List<DateRange> joined, DateRange date) {
        return joined.stream().map(date::liesIn).reduce(Outcome.NO, Outcome::or);
    }

    /** The same days in as few ranges as possible, so that a date is wholly inside one of them or inside none. */
    private static List<DateRange> joined(List<DateRange> ranges) {
        List<DateRange> joined = new ArrayList<>();
        for (DateRange next : ranges.stream()
                .sorted(Comparator.comparingInt(DateRange::first))
                .toList()) {
            DateRange last = joined.isEmpty() ? DateRange.NO_DAY : joined.getLast();
            if (!last.isEmpty() && next.first() <= last.last() + 1) {
                joined.removeLast();
                joined.add(new DateRange(last.first(), Math.max(last.last(), next.last())));
            } else {
                joined.add(next);
            }
        }
        return joined;
    }

    private static IllegalArgumentException unfit(Condition condition) {
        return new IllegalArgumentException("The field does not take the condition " + condition);
    }
}
