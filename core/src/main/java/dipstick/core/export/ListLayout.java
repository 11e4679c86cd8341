package dipstick.core.export;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.ListColumn;
import dipstick.core.criteria.ListColumn.Figure;
import dipstick.core.evaluate.Due;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.Found;
import dipstick.core.evaluate.ListMember;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.wording.ColumnWords;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How a set shows its list and orders it ({@code show} and {@code order}, criteria.md section 4). What is not on record comes
 * last, whichever way it is ordered; who is alike stands by id.
 */
public final class ListLayout {
    private final CriteriaSet set;
    private final Evaluator evaluator;
    private final Population records;
    private final BitSet who;
    private final List<ShownColumn> header;
    /** By the criterion's id. */
    private final Map<String, Found[]> found = new HashMap<>();

    /** @param who those who may be shown */
    public ListLayout(CriteriaSet set, Evaluator evaluator, BitSet who) {
        this.set = set;
        this.evaluator = evaluator;
        this.records = evaluator.population();
        this.who = who;
        ColumnWords words = new ColumnWords(set);
        this.header = set.show().stream()
                .map(column -> new ShownColumn(words.of(column), column instanceof ListColumn.OfCriterion))
                .toList();
    }

    /** Whether the set says in which order they stand. */
    public boolean isOrdered() {
        return !set.order().isEmpty();
    }

    /** What is shown besides. */
    public List<ShownColumn> header() {
        return header;
    }

    /** How many of those on the list are shown; all where the set does not say. */
    public Optional<Integer> top() {
        return set.top();
    }

    /** The first of those on the list, as many as the set shows, with all who are to check; in their order. */
    public List<ListMember> firstOf(List<ListMember> ordered) {
        int most = set.top().orElse(Integer.MAX_VALUE);
        List<ListMember> first = new ArrayList<>();
        int on = 0;
        for (ListMember member : ordered) {
            boolean isOn = member.state() == ListMember.State.ON;
            on += isOn ? 1 : 0;
            if (!isOn || on <= most) {
                first.add(member);
            }
        }
        return first;
    }

    /** What is shown of somebody, in the order of the header; days as ISO 8601 writes them. */
    public List<String> cells(ListMember member) {
        return set.show().stream().map(column -> cell(column, member)).toList();
    }

    private String cell(ListColumn column, ListMember member) {
        return switch (column) {
            case ListColumn.Named(String name) -> cell(name, member);
            case ListColumn.OfCriterion of -> cell(of.figure(), found(of)[member.person()]);
        };
    }

    /** By the numbers of those who may be shown. */
    private Found[] found(ListColumn.OfCriterion of) {
        return found.computeIfAbsent(of.criterion().id(), _ -> evaluator.found(of.test(), who));
    }

    private String cell(Figure figure, Found found) {
        return switch (figure) {
            case COUNT -> String.valueOf(found.count());
            case LATEST -> found.latest().map(LocalDate::toString).orElse("");
            case EARLIEST -> found.earliest().map(LocalDate::toString).orElse("");
            case VALUE ->
                found.latestEvent().isPresent() ? value(found.latestEvent().getAsInt()) : "";
            case DAYS_SINCE -> daysSince(found).map(String::valueOf).orElse("");
        };
    }

    /** With its unit; where it is no number, as it is written. */
    private String value(int event) {
        Events events = records.events();
        if (events.value().isMissing(event)) {
            return events.fields()
                    .find("value_text")
                    .map(field -> FieldCell.of(events.column(field), event))
                    .orElse("");
        }
        return (FieldCell.of(events.value(), event) + " " + events.unit().writtenAt(event)).strip();
    }

    private Optional<Long> daysSince(Found found) {
        return found.latest().map(day -> ChronoUnit.DAYS.between(day, evaluator.asOf()));
    }

    private String cell(String name, ListMember member) {
        return switch (name) {
            case "due_on" -> ReadingExport.dueText(member.due());
            case "band" -> member.band().orElse("");
            case "state" -> member.state().word();
            default ->
                records.personFields()
                        .find(name)
                        .map(field -> FieldCell.of(records, field, member.person()))
                        .orElse("");
        };
    }

    /** As the set orders them; where it does not, who is on the list first, then by due date. */
    public List<ListMember> ordered(List<ListMember> members) {
        Comparator<ListMember> by = set.order().isEmpty()
                ? by("state", false).thenComparing(by("due_on", false))
                : set.order().stream()
                        .map(order -> by(order.by(), order.descending()))
                        .reduce(Comparator::thenComparing)
                        .orElseThrow();
        return members.stream()
                .sorted(by.thenComparing(member -> records.idOf(member.person()), ReadingExport.BY_CODE_POINT))
                .toList();
    }

    private Comparator<ListMember> by(ListColumn column, boolean descending) {
        return switch (column) {
            case ListColumn.Named(String name) -> by(name, descending);
            case ListColumn.OfCriterion of -> by(of.figure(), found(of), descending);
        };
    }

    private Comparator<ListMember> by(Figure figure, Found[] found, boolean descending) {
        return switch (figure) {
            case COUNT -> known(member -> Optional.of(found[member.person()].count()), descending);
            case LATEST -> known(member -> found[member.person()].latest(), descending);
            case EARLIEST -> known(member -> found[member.person()].earliest(), descending);
            case VALUE -> known(member -> number(found[member.person()]), descending);
            case DAYS_SINCE -> known(member -> daysSince(found[member.person()]), descending);
        };
    }

    private Optional<Double> number(Found found) {
        Column.OfNumber values = records.events().value();
        return found.latestEvent().isPresent()
                ? value(values, found.latestEvent().getAsInt()).map(values.numbers()::get)
                : Optional.empty();
    }

    private Comparator<ListMember> by(String name, boolean descending) {
        return switch (name) {
            case "due_on" -> known(member -> dueDay(member.due()), descending);
            case "band" -> known(member -> member.band().map(this::rank), descending);
            case "state" -> known(member -> Optional.of(member.state()), descending);
            default ->
                records.personFields()
                        .find(name)
                        .map(field -> byField(field, descending))
                        .orElse((_, _) -> 0);
        };
    }

    /** Never met comes before any day. */
    private static Optional<Long> dueDay(Due due) {
        return switch (due) {
            case Due.None _ -> Optional.empty();
            case Due.Never _ -> Optional.of(Long.MIN_VALUE);
            case Due.On(var day) -> Optional.of(day.toEpochDay());
        };
    }

    private int rank(String band) {
        return set.bands().stream().map(Band::name).toList().indexOf(band);
    }

    private Comparator<ListMember> byField(Field field, boolean descending) {
        return switch (records.column(field)) {
            case Column.OfText texts -> known(member -> text(texts, member.person()), descending);
            case Column.OfNumber numbers ->
                known(member -> value(numbers, member.person()).map(numbers.numbers()::get), descending);
            case Column.OfDate dates ->
                known(
                        member -> value(dates, member.person())
                                .map(code -> dates.days().get(code).first()),
                        descending);
            case Column.OfFlag flags -> known(member -> value(flags, member.person()), descending);
            case Column.OfTexts _, Column.OfCodings _ ->
                known(member -> value(records.column(field), member.person()), descending);
        };
    }

    private static Optional<String> text(Column.OfText texts, int person) {
        return texts.isMissing(person)
                ? Optional.empty()
                : Optional.of(texts.compared().get(texts.codes().get(person)));
    }

    private static Optional<Integer> value(Column column, int person) {
        int code = column.codes().get(person);
        return code == Codes.MISSING ? Optional.empty() : Optional.of(code);
    }

    private interface Key<T> {
        Optional<T> of(ListMember member);
    }

    private static <T extends Comparable<? super T>> Comparator<ListMember> known(Key<T> key, boolean descending) {
        Comparator<T> direction = descending ? Comparator.reverseOrder() : Comparator.naturalOrder();
        return (one, other) -> {
            Optional<T> left = key.of(one);
            Optional<T> right = key.of(other);
            if (left.isEmpty() || right.isEmpty()) {
                return Boolean.compare(left.isEmpty(), right.isEmpty());
            }
            return direction.compare(left.get(), right.get());
        };
    }
}
