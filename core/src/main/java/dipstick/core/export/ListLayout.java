package dipstick.core.export;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.evaluate.Due;
import dipstick.core.evaluate.ListMember;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a set shows its list and orders it ({@code show} and {@code order}, criteria.md section 4). What is not on record comes
 * last, whichever way it is ordered; who is alike stands by id.
 */
public final class ListLayout {
    private final CriteriaSet set;
    private final Population records;

    public ListLayout(CriteriaSet set, Population records) {
        this.set = set;
        this.records = records;
    }

    /** Whether the set says in which order they stand. */
    public boolean isOrdered() {
        return !set.order().isEmpty();
    }

    /** The names of what is shown besides. */
    public List<String> header() {
        return set.show();
    }

    /** What is shown of somebody, in the order of the header; days as ISO 8601 writes them. */
    public List<String> cells(ListMember member) {
        return set.show().stream().map(name -> cell(name, member)).toList();
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
