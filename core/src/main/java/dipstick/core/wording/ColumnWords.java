package dipstick.core.wording;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ListColumn;
import dipstick.core.criteria.ListColumn.Figure;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.TermSet;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The headings of what a list shows. */
public final class ColumnWords {
    private ColumnWords() {}

    /** In the order of the columns, each of its own: of two that would be called the same the later ones are numbered. */
    public static List<String> of(List<ListColumn> columns) {
        List<String> plain = columns.stream().map(ColumnWords::of).toList();
        return IntStream.range(0, plain.size())
                .mapToObj(at -> {
                    String words = plain.get(at);
                    long before =
                            plain.subList(0, at).stream().filter(words::equals).count();
                    return before == 0 || columns.get(at) instanceof ListColumn.Named
                            ? words
                            : words + " (" + (before + 1) + ")";
                })
                .toList();
    }

    private static String of(ListColumn column) {
        return switch (column) {
            case ListColumn.Named(String name) -> name;
            case ListColumn.OfCriterion(var criterion, var test, var figure) ->
                shortName(criterion, test.events()) + ": " + words(figure);
        };
    }

    /** What a criterion is called where there is no room for its sentence: its label, else what it counts. */
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
