package dipstick.intake.propose;

import dipstick.core.text.NormalText;
import dipstick.core.text.Shortened;
import dipstick.intake.describe.Written;
import dipstick.intake.describe.Written.DateOrder;
import dipstick.intake.make.WrittenDates;
import dipstick.intake.rows.Cell;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** What stands in a column, from all of its cells. */
final class ColumnProfile {
    /** More different words than these are not words to choose from. */
    private static final int MOST_WORDS = 60;

    private static final int LONGEST_EXAMPLE = 60;

    private static final double MOSTLY = 0.9;

    /** So many values tell what a column holds; what could turn a date or a number round is looked for in all. */
    private static final int LOOKED_AT_CLOSELY = 5_000;

    private static final Pattern EMAIL = Pattern.compile("[^@\\s]+@[^@\\s]+\\.[^@\\s]+");
    private static final Pattern PHONE = Pattern.compile("\\+?[\\d ()/.\\-]{7,20}");
    private static final Pattern POSTCODE =
            Pattern.compile("\\d{4,5}(?:-\\d{3,4})?|[A-Z]{1,2}\\d[A-Z\\d]? ?\\d[A-Z]{2}");
    private static final Pattern COMMA_NUMBER = Pattern.compile("[<>≤≥]?=? ?[+-]?[\\d.' ]*\\d,\\d+(?:[^\\d.,].*)?");
    private static final Pattern POINT_NUMBER = Pattern.compile("[<>≤≥]?=? ?[+-]?[\\d,' ]*\\d\\.\\d+(?:[^\\d.,].*)?");
    private static final Pattern WHOLE_NUMBER = Pattern.compile("[<>≤≥]?=? ?[+-]?\\d{1,9}");
    private static final Pattern THOUSANDS = Pattern.compile("\\d{1,3}(?:[.,]\\d{3})+");

    private static final WrittenDates ANY_DATE =
            new WrittenDates(new Written(DateOrder.DAY_FIRST, 0, Written.Decimal.POINT, List.of()), ZoneOffset.UTC);
    private static final WrittenDates MONTH_FIRST =
            new WrittenDates(new Written(DateOrder.MONTH_FIRST, 0, Written.Decimal.POINT, List.of()), ZoneOffset.UTC);

    private final String name;
    private final FieldNames names = FieldNames.ofTheTrade();
    private final Map<String, Integer> words = new HashMap<>();
    private int values;
    private int blanks;
    private int dates;
    private int dayFirst;
    private int monthFirst;
    private int figuresOfDate;
    private int numbers;
    private int commas;
    private int points;
    private int thousands;
    private int emails;
    private int phones;
    private int postcodes;
    private int sexes;
    private int commaParted;
    private int firstYear = Integer.MAX_VALUE;
    private int lastYear = Integer.MIN_VALUE;
    private boolean wordsOverflow;

    ColumnProfile(String name) {
        this.name = name;
    }

    String name() {
        return name;
    }

    void add(Cell cell) {
        String text = cell.text();
        if (text.isEmpty()) {
            blanks++;
            return;
        }
        countWord(text);
        if (names.saysNothing(text)) {
            blanks++;
            return;
        }
        values++;
        if (values > LOOKED_AT_CLOSELY) {
            if (cell instanceof Cell.Text && text.length() <= 40) {
                countOrder(text);
                countDecimals(text);
            }
            return;
        }
        switch (cell) {
            case Cell.Moment(var moment) -> {
                dates++;
                year(moment.getYear());
            }
            case Cell.Numeric _ -> numbers++;
            default -> addText(text);
        }
    }

    private void addText(String text) {
        boolean digits = text.chars().anyMatch(Character::isDigit);
        if (digits && text.length() <= 40) {
            countOrder(text);
            boolean isYear = text.length() == 4;
            WrittenDates.Outcome date = ANY_DATE.read(text);
            if (!(date instanceof WrittenDates.Outcome.Read)) {
                date = MONTH_FIRST.read(text);
            }
            if (!isYear && date instanceof WrittenDates.Outcome.Read(var days)) {
                dates++;
                year(1970 + Math.floorDiv(days.first(), 365));
            }
            countDecimals(text);
            numbers += COMMA_NUMBER.matcher(text).matches()
                            || POINT_NUMBER.matcher(text).matches()
                            || WHOLE_NUMBER.matcher(text).matches()
                    ? 1
                    : 0;
            phones += PHONE.matcher(text).matches() ? 1 : 0;
            postcodes += POSTCODE.matcher(text).matches() ? 1 : 0;
        }
        emails += EMAIL.matcher(text).matches() ? 1 : 0;
        sexes += names.isWordOf("sex", text) ? 1 : 0;
        commaParted += text.indexOf(',') > 0 && text.indexOf(',') < text.length() - 1 && !digits ? 1 : 0;
    }

    private void countOrder(String text) {
        WrittenDates.tells(text).ifPresent(order -> {
            figuresOfDate++;
            switch (order) {
                case DAY_FIRST -> dayFirst++;
                case MONTH_FIRST -> monthFirst++;
                case OPEN -> {
                    // It could be either way round, so it tells nothing.
                }
            }
        });
    }

    private void countDecimals(String text) {
        commas += COMMA_NUMBER.matcher(text).matches() ? 1 : 0;
        points += POINT_NUMBER.matcher(text).matches() ? 1 : 0;
        thousands += THOUSANDS.matcher(text).matches() ? 1 : 0;
    }

    private void countWord(String text) {
        if (words.containsKey(text)) {
            words.merge(text, 1, Integer::sum);
        } else if (words.size() < MOST_WORDS) {
            words.put(text, 1);
        } else {
            wordsOverflow = true;
        }
    }

    private void year(int year) {
        firstYear = Math.min(firstYear, year);
        lastYear = Math.max(lastYear, year);
    }

    int values() {
        return values;
    }

    int blanks() {
        return blanks;
    }

    private boolean mostly(int count) {
        int looked = Math.min(values, LOOKED_AT_CLOSELY);
        return looked > 0 && count >= looked * MOSTLY;
    }

    boolean isDates() {
        return mostly(dates);
    }

    boolean isNumbers() {
        return mostly(numbers) && !isDates();
    }

    boolean isEmails() {
        return mostly(emails);
    }

    boolean isPhones() {
        return mostly(phones) && !isDates() && !isNumbers();
    }

    boolean isPostcodes() {
        return mostly(postcodes);
    }

    boolean isSexes() {
        return mostly(sexes);
    }

    boolean isNamesInParts() {
        return mostly(commaParted);
    }

    /** Dates that go back a lifetime and spread over one are those of births. */
    boolean looksLikeBirths(int thisYear) {
        return isDates() && firstYear < thisYear - 50 && lastYear <= thisYear && lastYear - firstYear > 25;
    }

    /** Which comes first in its dates of figures; open where both could be, none where there are no such dates. */
    Optional<DateOrder> order() {
        if (figuresOfDate == 0 || !isDates()) {
            return Optional.empty();
        }
        boolean both = dayFirst > 0 && monthFirst > 0;
        return Optional.of(
                both || dayFirst == monthFirst
                        ? DateOrder.OPEN
                        : dayFirst > 0 ? DateOrder.DAY_FIRST : DateOrder.MONTH_FIRST);
    }

    boolean hasBothOrders() {
        return dayFirst > 0 && monthFirst > 0;
    }

    /** How many of its numbers have a comma where the fraction begins, beyond those that may be groups of three. */
    int decimalCommas() {
        return commas - Math.min(commas, thousands);
    }

    int decimalPoints() {
        return points - Math.min(points, thousands);
    }

    /** The different words, most frequent first; none where there are too many to choose from. */
    List<String> words() {
        return wordsOverflow
                ? List.of()
                : words.entrySet().stream()
                        .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())
                                .thenComparing(Map.Entry.comparingByKey()))
                        .map(Map.Entry::getKey)
                        .toList();
    }

    List<String> examples() {
        return words.keySet().stream()
                .limit(3)
                .map(word -> Shortened.toldSo(LONGEST_EXAMPLE, word))
                .toList();
    }

    /** The words in it that say nothing. */
    Set<String> emptyWords() {
        return words.keySet().stream()
                .filter(names::saysNothing)
                .map(NormalText::of)
                .collect(java.util.stream.Collectors.toUnmodifiableSet());
    }
}
