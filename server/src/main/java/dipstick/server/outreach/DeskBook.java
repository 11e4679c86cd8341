package dipstick.server.outreach;

import dipstick.core.population.Population;
import java.time.LocalDate;
import java.util.ArrayList;
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
     * The same with some places that are others now, of people who are in it; itself where they are not.
     *
     * @param changed by person
     */
    DeskBook with(Map<String, Place> changed) {
        List<Place> before = changed.keySet().stream()
                .map(person -> places.get(at.get(person)))
                .toList();
        if (before.equals(List.copyOf(changed.values()))) {
            return this;
        }
        boolean sameOrder = before.stream().allMatch(place -> standsAs(place, changed.get(place.person())));
        return sameOrder
                ? new DeskBook(day, records, layout, placesWith(changed), at, order, beyondTop)
                : new DeskBook(day, records, layout, placesWith(changed));
    }

    /** The same over other records, by which only these places are others. */
    DeskBook over(Population newRecords, DeskLayout newLayout, Map<String, Place> changed) {
        return new DeskBook(day, newRecords, newLayout, placesWith(changed));
    }

    private List<Place> placesWith(Map<String, Place> changed) {
        List<Place> after = new ArrayList<>(places);
        changed.forEach((person, place) -> after.set(at.get(person), place));
        return List.copyOf(after);
    }

    /** Whether nothing is another by which they stand in the order of the set, or are of the first. */
    private static boolean standsAs(Place one, Place other) {
        return one.entry().standing() == other.entry().standing()
                && one.entry().isOpen() == other.entry().isOpen()
                && one.entry().dueOn().equals(other.entry().dueOn())
                && one.entry().band().equals(other.entry().band());
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
