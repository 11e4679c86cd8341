package dipstick.core.twice;

import dipstick.core.Outcome;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.twice.LikelyPair.Alike;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Stream;

/**
 * Finds people who may be one: born on the same day with nearly the same name, or with a telephone number in common, or
 * under numbers that differ by zeros at the front. Only those who share such a beginning are held side by side, so that it
 * takes about as long as there are people.
 */
public final class LikelyPairs {
    /** So many digits at the end of a telephone number tell it from others, with or without what is dialled before. */
    private static final int DIGITS_THAT_TELL = 8;

    private static final int FEWEST_DIGITS = 6;

    private final Population population;
    private final Column.OfDate births;
    private final Map<Long, LikelyPair> found = new HashMap<>();

    private LikelyPairs(Population population) {
        this.population = population;
        this.births = population.birthDate();
    }

    /** The pair of whom most speaks for it first, then in the order of the people. */
    public static List<LikelyPair> of(Population population) {
        LikelyPairs pairs = new LikelyPairs(population);
        pairs.byNumber();
        pairs.byBirth();
        return pairs.found.values().stream()
                .sorted(Comparator.comparingInt(
                                (LikelyPair pair) -> -pair.alike().size())
                        .thenComparingInt(LikelyPair::one)
                        .thenComparingInt(LikelyPair::other))
                .toList();
    }

    private void byNumber() {
        Map<String, List<Integer>> byNumber = new HashMap<>();
        for (int person = 0; person < population.size(); person++) {
            String number = population.idOf(person);
            String core = number.replaceFirst("^0+(?=.)", "");
            byNumber.computeIfAbsent(core, _ -> new ArrayList<>(1)).add(person);
        }
        byNumber.values()
                .forEach(people ->
                        addWhere(people, Alike.NUMBER, (one, other) -> mayBeBornOnOneDay(population, one, other)));
    }

    /** Whether the birth dates of two people allow that they are one. */
    public static boolean mayBeBornOnOneDay(Population population, int one, int other) {
        Column.OfDate births = population.birthDate();
        int birth = births.codes().get(one);
        int otherBirth = births.codes().get(other);
        return birth == Codes.MISSING
                || otherBirth == Codes.MISSING
                || births.days().get(birth).liesIn(births.days().get(otherBirth)) != Outcome.NO;
    }

    private void byBirth() {
        Map<Integer, List<Integer>> bornOn = new HashMap<>();
        for (int person = 0; person < population.size(); person++) {
            int birth = births.codes().get(person);
            if (birth != Codes.MISSING
                    && births.days().first(birth) == births.days().last(birth)) {
                bornOn.computeIfAbsent(birth, _ -> new ArrayList<>(2)).add(person);
            }
        }
        bornOn.values().stream().filter(people -> people.size() > 1).forEach(people -> {
            byName(people);
            byPhone(people);
        });
    }

    private void byName(List<Integer> people) {
        Map<Integer, Name> names = new HashMap<>();
        Map<String, List<Integer>> beginningWith = new HashMap<>();
        for (int person : people) {
            Name name = Name.of(text(person, "family_name"), text(person, "given_name"));
            names.put(person, name);
            name.beginnings()
                    .forEach(begins -> beginningWith
                            .computeIfAbsent(begins, _ -> new ArrayList<>(2))
                            .add(person));
        }
        beginningWith
                .values()
                .forEach(some -> addWhere(
                        some,
                        Alike.NAME_AND_BIRTH,
                        (one, other) -> names.get(one).isNearly(names.get(other))));
    }

    private void byPhone(List<Integer> people) {
        Map<String, List<Integer>> byPhone = new HashMap<>();
        for (int person : people) {
            Stream.of("phone", "mobile")
                    .map(field -> digits(text(person, field)))
                    .filter(digits -> digits.length() >= FEWEST_DIGITS)
                    .map(digits -> digits.substring(Math.max(0, digits.length() - DIGITS_THAT_TELL)))
                    .distinct()
                    .forEach(digits -> byPhone.computeIfAbsent(digits, _ -> new ArrayList<>(1))
                            .add(person));
        }
        byPhone.values().forEach(some -> addWhere(some, Alike.PHONE_AND_BIRTH, (_, _) -> true));
    }

    /** @param people in the order of their numbers */
    private void addWhere(List<Integer> people, Alike alike, BiPredicate<Integer, Integer> are) {
        for (int i = 0; i < people.size(); i++) {
            for (int k = i + 1; k < people.size(); k++) {
                if (are.test(people.get(i), people.get(k))) {
                    LikelyPair pair = new LikelyPair(people.get(i), people.get(k), Set.of(alike));
                    found.merge(key(pair), pair, LikelyPair::and);
                }
            }
        }
    }

    private static long key(LikelyPair pair) {
        return ((long) pair.one() << Integer.SIZE) | pair.other();
    }

    private String text(int person, String field) {
        Column.OfText column = (Column.OfText)
                population.column(population.personFields().find(field).orElseThrow());
        return column.writtenAt(person);
    }

    private static String digits(String phone) {
        return phone.replaceAll("\\D", "");
    }
}
