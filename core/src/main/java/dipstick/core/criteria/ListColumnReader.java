package dipstick.core.criteria;

import dipstick.core.criteria.ListColumn.Figure;
import dipstick.core.records.Fields;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Reads what a list shows and how it is ordered (criteria.md section 4). */
final class ListColumnReader {

    private static final List<Spot.Choice<Figure>> FIGURES = Arrays.stream(Figure.values())
            .map(figure -> new Spot.Choice<>(figure.word(), figure))
            .toList();

    private static final ListColumn NONE = new ListColumn.Named("");

    private final Fields people;
    private final Map<String, Criterion> criteria = new HashMap<>();
    /** The criteria that are written as tests of records, those among them that cannot be read too. */
    private final Set<String> ofEvents;

    ListColumnReader(Fields people, Spot document, Stream<Criterion> criteria) {
        this.people = people;
        criteria.forEach(criterion -> this.criteria.putIfAbsent(criterion.id(), criterion));
        this.ofEvents = Set.copyOf(Stream.of("/include", "/exclude", "/shouldHave/of")
                .flatMap(section -> document.json().at(section).valueStream())
                .filter(criterion -> criterion.path("test").has("events"))
                .map(criterion -> criterion.path("id").asString(""))
                .toList());
    }

    ListColumn column(Spot spot) {
        return spot.json().isObject() ? ofCriterion(spot) : named(spot);
    }

    CriteriaSet.Order order(Spot spot) {
        if (!spot.isObject("an order, such as {\"by\": \"due_on\"}")) {
            return new CriteriaSet.Order(NONE, false);
        }
        spot.allowOnly(Set.of("by", "descending"));
        ListColumn by = spot.requires("by") ? column(spot.get("by")) : NONE;
        return new CriteriaSet.Order(
                by, spot.has("descending") && spot.get("descending").truth());
    }

    private ListColumn named(Spot spot) {
        String name = spot.words();
        if (spot.json().isString() && people.find(name).isEmpty() && !ListColumn.OF_LIST.contains(name)) {
            spot.problem("There is no person field “" + name + "”, nor is it due_on, band or state.");
        }
        return new ListColumn.Named(name);
    }

    private ListColumn ofCriterion(Spot spot) {
        spot.allowOnly(Set.of("criterion", "column"));
        Figure figure = spot.requires("column") ? spot.get("column").oneOf(FIGURES) : Figure.COUNT;
        if (!spot.requires("criterion")) {
            return NONE;
        }
        Spot named = spot.get("criterion");
        String id = named.words();
        Criterion criterion = criteria.get(id);
        if (named.json().isString() && criterion == null) {
            named.problem("There is no criterion “" + id + "” in this set.");
        } else if (named.json().isString() && !ofEvents.contains(id)) {
            named.problem("The criterion “" + id + "” does not count records, so there is nothing of it to show.");
        }
        return criterion != null && criterion.test() instanceof Test.Events test
                ? new ListColumn.OfCriterion(criterion, test, figure)
                : NONE;
    }
}
