package dipstick.core.wording;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ListColumn;
import dipstick.core.criteria.ListColumn.Figure;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.TermSet;
import dipstick.core.criteria.Test;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The headings of what the list of a set shows. */
public final class ColumnWords {
    /** By the id of a criterion, what it is called where there is no room for its sentence. */
    private final Map<String, String> shortNames = new LinkedHashMap<>();

    private final List<ListColumn.OfCriterion> possible;

    public ColumnWords(CriteriaSet set) {
        this.possible = set.criteria().flatMap(ColumnWords::columnsOf).toList();
        Map<String, Integer> times = new HashMap<>();
        set.criteria()
                .filter(criterion -> criterion.test() instanceof Test.Events)
                .forEach(criterion -> {
                    String name = shortName(criterion, ((Test.Events) criterion.test()).events());
                    int time = times.merge(name, 1, Integer::sum);
                    shortNames.put(criterion.id(), time == 1 ? name : name + " (" + time + ")");
                });
    }

    private static Stream<ListColumn.OfCriterion> columnsOf(Criterion criterion) {
        return criterion.test() instanceof Test.Events test
                ? Stream.of(Figure.values()).map(figure -> new ListColumn.OfCriterion(criterion, test, figure))
                : Stream.of();
    }

    /** The columns that the criteria of the set can have. */
    public List<ListColumn.OfCriterion> possible() {
        return possible;
    }

    /** The name of a field; of a column of a criterion its heading, which no other has. */
    public String of(ListColumn column) {
        return switch (column) {
            case ListColumn.Named(String name) -> name;
            case ListColumn.OfCriterion of -> shortNames.get(of.criterion().id()) + ": " + words(of.figure());
        };
    }

    /** Its label, else what it counts. */
    private static String shortName(Criterion criterion, Selection counted) {
        return criterion
                .label()
                .orElseGet(() -> counted.terms()
                        .filter(terms -> !terms.isEmpty())
                        .map(terms -> terms.stream().map(TermSet::name).collect(Collectors.joining(" or ")))
                        .or(() -> counted.kinds()
                                .filter(kinds -> !kinds.isEmpty())
                                .map(kinds -> kinds.stream()
                                        .map(ComparedText::written)
                                        .sorted()
                                        .collect(Collectors.joining(" or "))))
                        .map(ColumnWords::capital)
                        .orElse("Records"));
    }

    private static String capital(String words) {
        return words.isEmpty()
                ? words
                : new StringBuilder()
                        .appendCodePoint(Character.toUpperCase(words.codePointAt(0)))
                        .append(words, words.offsetByCodePoints(0, 1), words.length())
                        .toString();
    }

    /** As it stands before the criterion that it is of: “latest of”. */
    public static String before(Figure figure) {
        return switch (figure) {
            case COUNT -> "how many of";
            case LATEST -> "latest of";
            case EARLIEST -> "earliest of";
            case VALUE -> "latest value of";
            case DAYS_SINCE -> "days since";
        };
    }

    private static String words(Figure figure) {
        return switch (figure) {
            case COUNT -> "how many";
            case LATEST -> "latest";
            case EARLIEST -> "earliest";
            case VALUE -> "latest value";
            case DAYS_SINCE -> "days since";
        };
    }
}
