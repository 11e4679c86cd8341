package dipstick.server.people;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntPredicate;

/**
 * Finds people by what is typed: each word must begin a name or the id, be in a phone number, or begin a birth date, which
 * may be written as ISO 8601 does or as people do.
 */
public final class PeopleSearch {
    private static final int MOST = 60;

    /** So many digits at the end are the same whether or not the number begins with that of the country. */
    private static final int OWN_DIGITS = 9;

    /** Fewer digits are in nearly every number. */
    private static final int LEAST_DIGITS = 4;

    private final Population population;
    private final boolean dayFirst;

    /** @param dayFirst whether 3/2/1950 is the third of February */
    public PeopleSearch(Population population, boolean dayFirst) {
        this.population = population;
        this.dayFirst = dayFirst;
    }

    /** @param total how many there are; only the first are given */
    public record Found(int total, List<PersonLine> people) {}

    /** @param seen whether somebody, by their number in the population, is shown to whoever asks */
    public Found find(String typed, LocalDate asOf, IntPredicate seen) {
        BitSet found = new BitSet();
        List<String> words = TypedPerson.words(typed, dayFirst);
        if (!words.getFirst().isEmpty()) {
            found.set(0, population.size());
            words.forEach(word -> found.and(withWord(word)));
        }
        int[] hidden = found.stream().filter(person -> !seen.test(person)).toArray();
        Arrays.stream(hidden).forEach(found::clear);
        List<PersonLine> people = found.stream()
                .mapToObj(person -> PersonLine.of(population, person, asOf))
                .sorted(PersonLine.BY_NAME)
                .limit(MOST)
                .toList();
        return new Found(found.cardinality(), people);
    }

    private BitSet withWord(String word) {
        BitSet found = new BitSet();
        for (String name : List.of("family_name", "given_name", "id")) {
            Column.OfText column = text(name);
            mark(column, code -> beginsAPart(NormalText.of(column.compared().get(code)), word), found);
        }
        String digits = word.replaceAll("\\D", "");
        boolean isNumber = digits.length() >= LEAST_DIGITS && word.matches("[+()\\d./-]+");
        if (isNumber) {
            for (String phone : List.of("phone", "mobile")) {
                Column.OfText column = text(phone);
                mark(column, code -> isNumber(column.compared().get(code).replaceAll("\\D", ""), digits), found);
            }
            Column.OfDate births = population.birthDate();
            mark(
                    births,
                    code -> LocalDate.ofEpochDay(births.days().first(code))
                            .toString()
                            .startsWith(word),
                    found);
        }
        return found;
    }

    private static boolean isNumber(String recorded, String typed) {
        return recorded.contains(typed)
                || (recorded.length() >= OWN_DIGITS
                        && typed.length() > OWN_DIGITS
                        && typed.endsWith(recorded.substring(recorded.length() - OWN_DIGITS)));
    }

    /** Also the second part of a double name. */
    private static boolean beginsAPart(String name, String word) {
        return name.startsWith(word) || name.contains(" " + word) || name.contains("-" + word);
    }

    private Column.OfText text(String field) {
        return (Column.OfText)
                population.column(population.personFields().find(field).orElseThrow());
    }

    private static void mark(Column column, IntPredicate meant, BitSet found) {
        BitSet codes = new BitSet(column.codeCount());
        for (int code = Codes.MISSING + 1; code < column.codeCount(); code++) {
            codes.set(code, meant.test(code));
        }
        for (int person = 0; person < column.codes().size(); person++) {
            if (codes.get(column.codes().get(person))) {
                found.set(person);
            }
        }
    }
}
