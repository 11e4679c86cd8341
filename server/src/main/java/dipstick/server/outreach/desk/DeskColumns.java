package dipstick.server.outreach.desk;

import dipstick.core.text.NormalText;
import dipstick.server.outreach.entries.Wording;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.people.PersonLine;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** By what the columns of a desk sort and gather those who stand in them, as whoever looks sees them. */
final class DeskColumns {
    /** In the order that the set gives. */
    static final String SET_ORDER = "set";

    static final String DUE = "due";
    private static final String NEVER = "never";
    private static final Pattern SHOWN = Pattern.compile("(?:field|found):(.*)", Pattern.DOTALL);
    private static final Pattern NUMBER = Pattern.compile("\\s*([+-]?(?:\\d+\\.?\\d*|\\.\\d+)).*", Pattern.DOTALL);
    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d\\d-\\d\\d");

    private final DeskBook book;
    private final DeskRows rows;
    private final String account;
    private final LocalDate day;
    /** As they are written; a list has many people and few days. */
    private final Map<String, SortKey> days = new HashMap<>();

    /** @param account of whoever looks */
    DeskColumns(DeskBook book, DeskRows rows, String account, LocalDate day) {
        this.book = book;
        this.rows = rows;
        this.account = account;
        this.day = day;
    }

    /** What somebody has in a column: nothing, or a number, which comes before what is none, or a text, as it is compared. */
    record SortKey(double number, String text) implements Comparable<SortKey> {
        static final SortKey NOTHING = new SortKey(Double.NEGATIVE_INFINITY, "");

        private static SortKey of(double number) {
            return new SortKey(number, "");
        }

        private static SortKey of(long days) {
            return new SortKey((double) days, "");
        }

        private static SortKey of(String text) {
            return text.isEmpty() ? NOTHING : new SortKey(Double.POSITIVE_INFINITY, NormalText.of(text));
        }

        @Override
        public int compareTo(SortKey other) {
            if (this == other) {
                return 0;
            }
            int byNumber = Double.compare(number, other.number);
            return byNumber != 0 ? byNumber : text.compareTo(other.text);
        }
    }

    /** By what a column sorts; by nothing where there is none of this name. */
    Function<Place, SortKey> sortKey(String column) {
        return switch (column) {
            case "name" -> place -> new SortKey(Double.POSITIVE_INFINITY, place.name());
            case "age" -> place -> SortKey.of(firstNumber(line(place).age()).orElse(-1.0));
            case DUE -> place -> due(place.entry().dueOn());
            case "overdue" -> place -> daysLate(place.entry().dueOn());
            case "band" -> place -> SortKey.of(place.entry().band());
            case "next" -> place -> dayOr(place.entry().nextOn(), Double.MAX_VALUE);
            case "hand" ->
                place -> SortKey.of(place.hand()
                        .map(hand -> hand.account().equals(account) ? "me" : rows.nameOf(hand.account()))
                        .orElse(""));
            case "last" ->
                place -> place.attempt()
                        .map(attempt -> SortKey.of(attempt.onDay().toEpochDay()))
                        .orElse(SortKey.of(-Double.MAX_VALUE));
            case "phone" -> place -> SortKey.of(line(place).phone());
            case "provider" -> place -> field(place, "provider");
            case "site" -> place -> field(place, "site");
            case "language" -> place -> field(place, "language");
            case "by" -> place -> field(place, "contact_by");
            case "joined" -> place -> SortKey.of(place.entry().joinedOn().toEpochDay());
            case "also" -> place -> SortKey.of(String.join(", ", rows.alsoOn(place.person())));
            case "state" -> place -> SortKey.of(Wording.state(place.entry().state()));
            case "standing" -> place -> pile(place.entry().standing());
            case "why" -> place -> SortKey.of(rows.said(place));
            case SET_ORDER -> place -> SortKey.of((long) book.inOrder(place).orElse(0));
            default -> shown(column);
        };
    }

    /** Whether whoever is to check comes after all others, however late they are. */
    static boolean checkComesLast(String column) {
        return column.equals(DUE);
    }

    private Function<Place, SortKey> shown(String column) {
        Matcher named = SHOWN.matcher(column);
        return named.matches()
                ? place -> cell(book.layout().cells(place.entry()).getOrDefault(named.group(1), ""))
                : _ -> SortKey.NOTHING;
    }

    /** Numbers sort as such, with a unit or without; days by their ISO date, which is a text. */
    private static SortKey cell(String cell) {
        return DAY.matcher(cell).matches()
                ? SortKey.of(cell)
                : firstNumber(cell)
                        .map(number -> new SortKey(number, NormalText.of(cell)))
                        .orElseGet(() -> SortKey.of(cell));
    }

    /** What those have in common who stand under one heading of a column. */
    Function<Place, String> heading(String column) {
        return switch (column) {
            case "next" ->
                place -> place.entry().nextStep() + " " + place.entry().nextOn();
            case "last" ->
                place -> place.attempt()
                        .map(attempt -> attempt.outcome() + " " + attempt.onDay())
                        .orElse("");
            default -> {
                Function<Place, SortKey> key = sortKey(column);
                yield place -> key.apply(place).toString();
            }
        };
    }

    private static SortKey pile(Standing standing) {
        return switch (standing) {
            case ON -> SortKey.of(0L);
            case CHECK -> SortKey.of(1L);
            case OFF -> SortKey.of(2L);
        };
    }

    private PersonLine line(Place place) {
        return PersonLine.of(book.records(), place.person(), day);
    }

    private SortKey field(Place place, String field) {
        return SortKey.of(PersonLine.field(book.records(), place.person(), field));
    }

    /** Who never met it comes first, whoever has no due date last. */
    private SortKey due(String due) {
        return due.equals(NEVER) ? SortKey.of(-Double.MAX_VALUE) : dayOr(due, Double.MAX_VALUE);
    }

    private SortKey daysLate(String due) {
        if (due.equals(NEVER)) {
            return SortKey.of(Double.MAX_VALUE);
        }
        return SortKey.of(due.isEmpty() ? -1L : ChronoUnit.DAYS.between(LocalDate.parse(due), day));
    }

    private SortKey dayOr(String written, double otherwise) {
        return written.isEmpty()
                ? SortKey.of(otherwise)
                : days.computeIfAbsent(
                        written, one -> SortKey.of(LocalDate.parse(one).toEpochDay()));
    }

    private static Optional<Double> firstNumber(String text) {
        Matcher number = NUMBER.matcher(text);
        return number.matches() ? Optional.of(Double.parseDouble(number.group(1))) : Optional.empty();
    }
}
