package dipstick.server.outreach.desk;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.ListColumn;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.ListMember;
import dipstick.core.export.ListLayout;
import dipstick.core.export.ReadingExport;
import dipstick.core.export.ShownColumn;
import dipstick.core.population.Population;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.plan.Standing;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/** What a set shows of those at the desk besides, and in which order they stand ({@code show} and {@code order}). */
final class DeskLayout {

    private final Population records;
    private final Optional<ListLayout> layout;
    private final List<String> bands;

    /** @param set as it is published; nothing where it does not fit the records */
    DeskLayout(Evaluator evaluator, Optional<CriteriaSet> set, List<Place> places) {
        this.records = evaluator.population();
        BitSet who = new BitSet();
        places.forEach(place -> records.find(place.person()).ifPresent(who::set));
        this.bands = set.map(CriteriaSet::bands).orElse(List.of()).stream()
                .map(Band::name)
                .distinct()
                .toList();
        this.layout = set.map(read -> new ListLayout(read, evaluator, who));
    }

    /** All that is shown besides, also what each row of the desk has anyway. */
    List<ShownColumn> show() {
        return layout.map(ListLayout::header).orElse(List.of());
    }

    /** The names of the bands, in the order of the set. */
    List<String> bands() {
        return bands;
    }

    Optional<Integer> top() {
        return layout.flatMap(ListLayout::top);
    }

    /** By its name, what those say that no row has anyway of somebody; nothing where their own record is gone. */
    Map<String, String> cells(Entry entry) {
        Map<String, String> cells = new LinkedHashMap<>();
        member(entry).ifPresent(member -> {
            List<String> all = layout.map(shown -> shown.cells(member)).orElse(List.of());
            List<ShownColumn> show = show();
            for (int column = 0; column < all.size(); column++) {
                if (!ListColumn.OF_LIST.contains(show.get(column).name())) {
                    cells.put(show.get(column).name(), all.get(column));
                }
            }
        });
        return cells;
    }

    /**
     * By person, where they stand in the order of the set; nothing where it gives none and shows all. Who is not on it stands
     * last.
     */
    Optional<Map<String, Integer>> places(List<Place> shown) {
        return layout.filter(by -> by.isOrdered() || by.top().isPresent()).map(ordered -> {
            Map<String, Integer> places = new HashMap<>();
            shown.forEach(place -> places.put(place.person(), shown.size()));
            List<String> people = ordered(ordered, shown.stream(), Standing.ON, Standing.CHECK);
            for (int place = 0; place < people.size(); place++) {
                places.put(people.get(place), place);
            }
            return places;
        });
    }

    /** Those who are on the list and still to be contacted, and whom the set does not show so far. */
    Set<String> beyondTop(List<Place> shown) {
        List<String> ordered = layout.filter(by -> by.top().isPresent())
                .map(by ->
                        ordered(by, shown.stream().filter(place -> place.entry().isOpen()), Standing.ON))
                .orElse(List.of());
        return Set.copyOf(ordered.subList(Math.min(ordered.size(), top().orElse(0)), ordered.size()));
    }

    private List<String> ordered(ListLayout by, Stream<Place> places, Standing... of) {
        List<ListMember> members = places.map(Place::entry)
                .filter(entry -> List.of(of).contains(entry.standing()))
                .flatMap(entry -> member(entry).stream())
                .toList();
        return by.ordered(members).stream()
                .map(member -> records.idOf(member.person()))
                .toList();
    }

    private Optional<ListMember> member(Entry entry) {
        OptionalInt number = records.find(entry.person());
        return number.isEmpty()
                ? Optional.empty()
                : Optional.of(new ListMember(
                        number.getAsInt(),
                        entry.standing() == Standing.ON ? ListMember.State.ON : ListMember.State.CHECK,
                        ReadingExport.due(entry.dueOn()),
                        Optional.of(entry.band()).filter(band -> !band.isEmpty())));
    }
}
