package dipstick.server.outreach.desk;

import dipstick.core.text.NormalText;
import dipstick.server.accounts.Colleague;
import dipstick.server.outreach.desk.DeskColumns.SortKey;
import dipstick.server.outreach.plan.ListPart;
import dipstick.server.people.PersonLine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What one colleague sees of a book: those whom they may see, how many are in each pile, and whom they ask for. */
final class DeskSight {
    /** Where fewer than one of so many are wanted, not all are sorted. */
    private static final int FEW = 4;

    private final DeskBook book;
    private final List<ListPart> parts;
    private final Colleague who;
    private final LocalDate day;
    private final DeskRows rows;
    private final List<Place> mine;

    /** @param parts that the list is cut into */
    DeskSight(DeskBook book, List<ListPart> parts, Colleague who, LocalDate day, DeskRows rows) {
        this.book = book;
        this.parts = parts;
        this.who = who;
        this.day = day;
        this.rows = rows;
        this.mine = who.ownPeopleOnly()
                ? book.places().stream()
                        .filter(place -> who.maySeePeopleOf(field(place, "provider")))
                        .toList()
                : book.places();
    }

    /** All whom they may see. */
    List<Place> mine() {
        return mine;
    }

    /** How many a list holds for them under what they ask, besides those of the page. */
    record Counts(Map<Queue, Integer> queues, List<InBand> bands, int beyond) {}

    /** @param band empty for those in none */
    record InBand(String band, int people) {}

    Counts counts(DeskAsked asked) {
        List<Place> ofPart = mine.stream().filter(ofPart(asked)).toList();
        List<Place> ofTop = ofPart.stream().filter(ofTop(asked)).toList();
        List<Place> ofBand = ofTop.stream().filter(ofBand(asked)).toList();
        Map<Queue, Integer> queues = new EnumMap<>(Queue.class);
        for (Queue queue : Queue.values()) {
            queues.put(queue, (int) ofBand.stream()
                    .filter(place -> queue.holds(place, who.name(), day))
                    .count());
        }
        int beyond = (int) ofPart.stream().filter(book::isBeyondTop).count();
        return new Counts(queues, bands(ofTop.stream().filter(ofQueue(asked)).toList()), beyond);
    }

    /** The bands in the order of the set, those that it does not name any more, and none where somebody is in none. */
    private List<InBand> bands(List<Place> places) {
        Map<String, Integer> people = places.stream()
                .collect(Collectors.toMap(place -> place.entry().band(), _ -> 1, Integer::sum, TreeMap::new));
        Map<String, Integer> ordered = new LinkedHashMap<>();
        book.layout().bands().forEach(band -> ordered.put(band, people.getOrDefault(band, 0)));
        people.keySet().stream()
                .filter(band -> !band.isEmpty())
                .forEach(band -> ordered.putIfAbsent(band, people.get(band)));
        if (!ordered.isEmpty() && people.containsKey("")) {
            ordered.put("", people.get(""));
        }
        return ordered.entrySet().stream()
                .map(band -> new InBand(band.getKey(), band.getValue()))
                .toList();
    }

    /**
     * Those who are asked for, in their order.
     *
     * @param total how many there are
     * @param places the first of them, at least as many as were wanted
     * @param groups how many stand under each heading, in the order of these; none where they are not gathered
     */
    record Found(int total, List<Place> places, List<Integer> groups) {}

    /** All who are asked for, whatever the page. */
    Found find(DeskAsked asked) {
        return find(asked, Integer.MAX_VALUE);
    }

    /** @param most how many of the first are wanted */
    Found find(DeskAsked asked, int most) {
        if (!asked.person().isEmpty()) {
            List<Place> named = asked.person().stream()
                    .distinct()
                    .flatMap(person -> book.find(person).stream())
                    .filter(place -> who.maySeePeopleOf(field(place, "provider")))
                    .toList();
            return new Found(named.size(), named, List.of());
        }
        List<Place> found = mine.stream()
                .filter(ofPart(asked)
                        .and(ofTop(asked))
                        .and(ofBand(asked))
                        .and(ofQueue(asked))
                        .and(named(asked)))
                .toList();
        return sorted(found, asked, most);
    }

    /** Whoever is in one's own hand is shown whatever the set leaves out. */
    private Predicate<Place> ofTop(DeskAsked asked) {
        return place -> asked.isEverybody() || !book.isBeyondTop(place) || place.isInHandOf(who.name());
    }

    /** The part that is asked for; nothing for the whole list. */
    Optional<ListPart> part(DeskAsked asked) {
        boolean own = asked.part().isEmpty() && asked.ownPart().orElse(false);
        return parts.stream()
                .filter(part -> own
                        ? part.colleagues().contains(who.name())
                        : asked.part().filter(part.name()::equals).isPresent())
                .findFirst();
    }

    private Predicate<Place> ofPart(DeskAsked asked) {
        return part(asked)
                .<Predicate<Place>>map(part -> place -> within(part.sites(), field(place, "site"))
                        && within(part.providers(), field(place, "provider")))
                .orElse(_ -> true);
    }

    private static boolean within(List<String> wanted, String is) {
        return wanted.isEmpty() || wanted.stream().anyMatch(one -> one.equalsIgnoreCase(is));
    }

    private static Predicate<Place> ofBand(DeskAsked asked) {
        return asked.band()
                .<Predicate<Place>>map(band -> place -> place.entry().band().equals(band))
                .orElse(_ -> true);
    }

    private Predicate<Place> ofQueue(DeskAsked asked) {
        return asked.queue()
                .<Predicate<Place>>map(queue -> place -> queue.holds(place, who.name(), day))
                .orElse(_ -> true);
    }

    private Predicate<Place> named(DeskAsked asked) {
        String words = NormalText.of(asked.find().orElse(""));
        return words.isEmpty()
                ? _ -> true
                : place -> NormalText.of(toFind(place)).contains(words);
    }

    private String toFind(Place place) {
        PersonLine line = PersonLine.of(book.records(), place.person(), day);
        return String.join(
                " ",
                line.name(),
                line.id(),
                line.phone(),
                line.provider(),
                line.site(),
                place.entry().band());
    }

    private String field(Place place, String field) {
        return PersonLine.field(book.records(), place.person(), field);
    }

    /** Somebody with what they are sorted by. */
    private record Sorted(Place place, SortKey group, String heading, boolean last, SortKey key) {}

    private Found sorted(List<Place> found, DeskAsked asked, int most) {
        String sort = asked.sort().orElse(book.isOrdered() ? DeskColumns.SET_ORDER : DeskColumns.DUE);
        if (sort.equals("also") || asked.group().filter("also"::equals).isPresent()) {
            rows.readAlsoOn(found);
        }
        DeskColumns columns = new DeskColumns(book, rows, who.name(), day);
        Function<Place, SortKey> group = asked.group().map(columns::sortKey).orElse(_ -> SortKey.NOTHING);
        Function<Place, String> heading = asked.group().map(columns::heading).orElse(_ -> "");
        Function<Place, SortKey> key = columns.sortKey(sort);
        boolean checkLast = DeskColumns.checkComesLast(sort);
        Stream<Sorted> all = found.stream()
                .map(place -> new Sorted(
                        place, group.apply(place), heading.apply(place), checkLast && !place.isOn(), key.apply(place)));
        Comparator<Sorted> order = order(asked.isDescending());
        if (asked.group().isEmpty()) {
            List<Place> first = (most < found.size() / FEW ? First.of(most, all, order) : all.sorted(order))
                    .map(Sorted::place)
                    .toList();
            return new Found(found.size(), first, List.of());
        }
        List<Sorted> gathered = all.sorted(order).toList();
        Map<String, Integer> people =
                gathered.stream().collect(Collectors.toMap(Sorted::heading, _ -> 1, Integer::sum, LinkedHashMap::new));
        return new Found(found.size(), gathered.stream().map(Sorted::place).toList(), List.copyOf(people.values()));
    }

    /** By group, then as the column says, then by name. */
    private static Comparator<Sorted> order(boolean descending) {
        return (one, other) -> {
            int by = one.group.compareTo(other.group);
            by = by != 0 ? by : one.heading.compareTo(other.heading);
            by = by != 0 ? by : Boolean.compare(one.last, other.last);
            by = by != 0 ? by : descending ? other.key.compareTo(one.key) : one.key.compareTo(other.key);
            by = by != 0 ? by : one.place.name().compareTo(other.place.name());
            return by != 0 ? by : one.place.person().compareTo(other.place.person());
        };
    }

    /**
     * The next person to take: the first from a place on, and then from the beginning, who is to do and free, or one's own.
     *
     * @param current whom they have open, who need not be taken again
     */
    Optional<Place> nextToTake(DeskAsked asked, String current) {
        List<Place> all = find(asked).places();
        int from = Math.min(asked.first(), all.size());
        List<Place> inTurn = new ArrayList<>(all.subList(from, all.size()));
        inTurn.addAll(all.subList(0, from));
        return inTurn.stream()
                .filter(place -> place.isDue(day))
                .filter(place -> place.hand().isEmpty()
                        || (place.isInHandOf(who.name()) && !place.person().equals(current)))
                .findFirst();
    }
}
