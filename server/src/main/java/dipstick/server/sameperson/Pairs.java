package dipstick.server.sameperson;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import dipstick.core.text.NormalText;
import dipstick.core.time.DateRange;
import dipstick.core.twice.LikelyPair;
import dipstick.core.twice.LikelyPairs;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.FieldWords;
import dipstick.core.wording.ValueWords;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.people.PeopleReader;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import dipstick.server.records.OtherNumbers;
import dipstick.server.records.View;
import dipstick.server.records.Views;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Finds pairs of people who may be one, and lays them side by side. */
@Service
class Pairs {
    private final Views views;
    private final OtherNumbers numbers;
    private final JoiningMapper joinings;
    private final Accounts accounts;
    private final Today today;
    private Likely likely = new Likely(-1, List.of());

    Pairs(Views views, OtherNumbers numbers, JoiningMapper joinings, Accounts accounts, Today today) {
        this.views = views;
        this.numbers = numbers;
        this.joinings = joinings;
        this.accounts = accounts;
        this.today = today;
    }

    /** Those of one view of the records. */
    private record Likely(long version, List<LikelyPair> pairs) {}

    /** Two numbers, the lower one first. */
    record Two(String one, String other) {
        static Two of(String number, String another) {
            return number.compareTo(another) < 0 ? new Two(number, another) : new Two(another, number);
        }
    }

    /** @param total of those that are offered; only the first are given */
    record Offered(int total, List<Pair> pairs) {}

    Offered offered(int most) {
        View view = views.current();
        Population population = view.population();
        Map<Two, List<String>> why = new LinkedHashMap<>();
        for (OtherNumbers.Said said : numbers.saidToBeOne()) {
            if (mayBe(said, population)) {
                why.computeIfAbsent(Two.of(said.one(), said.other()), _ -> new ArrayList<>())
                        .add(said.source().isEmpty() ? "A file says so." : said.source() + " says so.");
            }
        }
        for (LikelyPair pair : likely(view)) {
            List<String> reasons = why.computeIfAbsent(
                    Two.of(population.idOf(pair.one()), population.idOf(pair.other())), _ -> new ArrayList<>());
            pair.alike().stream()
                    .sorted(Comparator.naturalOrder())
                    .map(Pairs::words)
                    .forEach(reasons::add);
        }
        joinings.allApart().forEach(apart -> why.remove(new Two(apart.one(), apart.other())));
        Colleague here = accounts.here();
        why.keySet().removeIf(two -> !maySee(here, two.one(), population) || !maySee(here, two.other(), population));
        return new Offered(
                why.size(),
                why.entrySet().stream()
                        .limit(most)
                        .map(pair -> sideBySide(population, pair.getKey(), pair.getValue()))
                        .toList());
    }

    /** Any two, so that somebody sees whether they are one; refused where one of them is not to be seen. */
    Pair sideBySide(String one, String other) {
        Population population = views.current().population();
        requireMaySee(one, population);
        requireMaySee(other, population);
        return sideBySide(population, new Two(one, other), List.of());
    }

    void requireMaySee(String one, String other) {
        Population population = views.current().population();
        requireMaySee(one, population);
        requireMaySee(other, population);
    }

    private void requireMaySee(String person, Population population) {
        if (population.find(person).isEmpty() || !maySee(accounts.here(), person, population)) {
            throw PeopleReader.noSuchPerson();
        }
    }

    /** Whether whoever is signed in may see both, on file or not. */
    boolean maySee(String one, String other) {
        Population population = views.current().population();
        Colleague here = accounts.here();
        return maySee(here, one, population) && maySee(here, other, population);
    }

    String name(String person) {
        return PersonLine.of(views.current().population(), person, today.day()).name();
    }

    private static boolean maySee(Colleague here, String person, Population population) {
        return here.maySeePeopleOf(PersonLine.field(population, person, "provider"));
    }

    private static boolean mayBe(OtherNumbers.Said said, Population population) {
        OptionalInt one = population.find(said.one());
        OptionalInt other = population.find(said.other());
        // Two sources may number their people alike, and mean others.
        return one.isPresent()
                && other.isPresent()
                && LikelyPairs.mayBeBornOnOneDay(population, one.getAsInt(), other.getAsInt());
    }

    private synchronized List<LikelyPair> likely(View view) {
        if (likely.version() != view.version()) {
            likely = new Likely(view.version(), LikelyPairs.of(view.population()));
        }
        return likely.pairs();
    }

    private static String words(LikelyPair.Alike alike) {
        return switch (alike) {
            case NAME_AND_BIRTH -> "Born on the same day, with nearly the same name.";
            case PHONE_AND_BIRTH -> "Born on the same day, with a telephone number in common.";
            case NUMBER -> "Their numbers differ by zeros at the front.";
        };
    }

    private Pair sideBySide(Population population, Two two, List<String> why) {
        int one = PeopleReader.numberOf(two.one(), population);
        int other = PeopleReader.numberOf(two.other(), population);
        List<Pair.Beside> fields = population.personFields().all().stream()
                .filter(field -> !field.name().equals("id"))
                .flatMap(field -> beside(population, field, one, other))
                .toList();
        return new Pair(side(population, one), side(population, other), why, fields);
    }

    private Pair.Side side(Population population, int person) {
        PersonLine line = PersonLine.of(population, person, today.day());
        Events events = population.events();
        int[] last = events.of(person)
                .map(event -> events.on().codes().get(event))
                .filter(code -> code != Codes.MISSING)
                .map(code -> events.on().days().last(code))
                .toArray();
        String latest = Arrays.stream(last)
                .boxed()
                .max(Comparator.naturalOrder())
                .map(day -> DayWords.date(new DateRange(day, day)))
                .orElse("");
        return new Pair.Side(line.id(), line.name(), (int) events.of(person).count(), latest);
    }

    private static Stream<Pair.Beside> beside(Population population, Field field, int one, int other) {
        Column column = population.column(field);
        if (column.isMissing(one) && column.isMissing(other)) {
            return Stream.empty();
        }
        String ofOne = words(column, one);
        String ofOther = words(column, other);
        return Stream.of(new Pair.Beside(
                FieldWords.name(field.name()),
                ofOne,
                ofOther,
                NormalText.of(ofOne).equals(NormalText.of(ofOther))));
    }

    /** Empty where it is missing. */
    private static String words(Column column, int person) {
        return column.isMissing(person)
                ? ""
                : ValueWords.of(column, column.codes().get(person));
    }
}
