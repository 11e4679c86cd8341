package dipstick.server.outreach.desk;

import dipstick.core.population.Population;
import dipstick.server.outreach.entries.Entry;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.util.function.SingletonSupplier;

/** A list as it is at a moment, whoever looks at it: everybody who is on it, or lately was. It does not change. */
final class DeskBook {
    private final LocalDate day;
    private final Population records;
    private final DeskLayout layout;
    private final List<Place> places;
    private final Map<String, Integer> at;
    private final Optional<Map<String, Integer>> order;
    private final Set<String> beyondTop;
    private final Supplier<List<Place>> joined;

    /** @param places in the order in which they came to be there */
    DeskBook(LocalDate day, Population records, DeskLayout layout, List<Place> places) {
        this(
                day,
                records,
                layout,
                List.copyOf(places),
                positions(places),
                layout.places(places),
                layout.beyondTop(places));
    }

    private DeskBook(
            LocalDate day,
            Population records,
            DeskLayout layout,
            List<Place> places,
            Map<String, Integer> at,
            Optional<Map<String, Integer>> order,
            Set<String> beyondTop) {
        this.day = day;
        this.records = records;
        this.layout = layout;
        this.places = places;
        this.at = at;
        this.order = order;
        this.beyondTop = beyondTop;
        this.joined = SingletonSupplier.of(() -> places.stream()
                .filter(place -> Queue.JOINED.holds(place, "", day))
                .toList());
    }

    private static Map<String, Integer> positions(List<Place> places) {
        Map<String, Integer> at = HashMap.newHashMap(places.size());
        for (int i = 0; i < places.size(); i++) {
            at.put(places.get(i).person(), i);
        }
        return at;
    }

    /**
     * The same with some places that are others now; itself where they are not.
     *
     * @param changed by person; nothing for whoever is not shown any more
     */
    DeskBook with(Map<String, Optional<Place>> changed) {
        boolean same =
                changed.entrySet().stream().allMatch(one -> find(one.getKey()).equals(one.getValue()));
        if (same) {
            return this;
        }
        boolean sameOrder = changed.entrySet().stream().allMatch(one -> standAlike(find(one.getKey()), one.getValue()));
        return sameOrder
                ? new DeskBook(day, records, layout, placesWith(changed), at, order, beyondTop)
                : new DeskBook(day, records, layout, placesWith(changed));
    }

    /** All places, with some that are others now. */
    List<Place> placesWith(Map<String, Optional<Place>> changed) {
        List<Place> after = new ArrayList<>(places.size() + changed.size());
        for (Place place : places) {
            Optional<Place> other = changed.getOrDefault(place.person(), Optional.of(place));
            other.ifPresent(after::add);
        }
        boolean somebodyNew = false;
        for (Optional<Place> place : changed.values()) {
            if (place.isPresent() && !at.containsKey(place.get().person())) {
                after.add(place.get());
                somebodyNew = true;
            }
        }
        if (somebodyNew) {
            after.sort(Comparator.comparingLong(place -> place.entry().id()));
        }
        return List.copyOf(after);
    }

    /** Whether nothing is another by which they stand in the order of the set, or are of the first. */
    private static boolean standAlike(Optional<Place> one, Optional<Place> other) {
        return one.map(DeskBook::standing).equals(other.map(DeskBook::standing));
    }

    private static List<Object> standing(Place place) {
        Entry entry = place.entry();
        return List.of(entry.standing(), entry.isOpen(), entry.dueOn(), entry.band());
    }

    /** Those who joined of late. */
    List<Place> joined() {
        return joined.get();
    }

    Population records() {
        return records;
    }

    DeskLayout layout() {
        return layout;
    }

    List<Place> places() {
        return places;
    }

    Optional<Place> find(String person) {
        return Optional.ofNullable(at.get(person)).map(places::get);
    }

    /** Whether the set says in which order they stand. */
    boolean isOrdered() {
        return order.isPresent();
    }

    /** Where somebody stands in the order that the set gives; nothing where it gives none. */
    Optional<Integer> inOrder(Place place) {
        return order.map(known -> known.get(place.person()));
    }

    /** Whether somebody is on the list and to be contacted, and the set shows only so many before them. */
    boolean isBeyondTop(Place place) {
        return beyondTop.contains(place.person());
    }
}
