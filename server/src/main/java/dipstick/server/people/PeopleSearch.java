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
import java.util.function.Predicate;

/**
 * Finds people by what is typed: each word must begin a name or the id, be in a phone number, or begin a birth date as
 * ISO 8601 writes it.
 */
public final class PeopleSearch {
    private static final int MOST = 60;

    /** Fewer digits are in nearly every number. */
    private static final int LEAST_DIGITS = 4;

    private final Population population;

    public PeopleSearch(Population population) {
        this.population = population;
    }

    /** @param total how many there are; only the first are given */
    public record Found(int total, List<PersonLine> people) {}

    /** @param seen whether people of a provider, as it is on record, are shown to whoever asks */
    public Found find(String typed, LocalDate asOf, Predicate<String> seen) {
        BitSet found = new BitSet();
        String[] words = NormalText.of(typed).split(" ");
        if (!words[0].isEmpty()) {
            found.set(0, population.size());
            Arrays.stream(words).forEach(word -> found.and(withWord(word)));
        }
        int[] hidden = found.stream()
                .filter(person -> !seen.test(PersonLine.text(population, person, "provider")))
                .toArray();
        Arrays.stream(hidden).forEach(found::clear);
        List<PersonLine> people = found.stream()
                .mapToObj(person -> PersonLine.of(population, person, asOf))
                .sorted(PersonLine.BY_NAME)
                .limit(MOST)
                .toList();
        return new Found(found.cardinality(), people);
    }

    private BitSet withWord(String typed) {
        String word = typed.replaceAll(",$", "");
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
                mark(
                        column,
                        code -> column.compared()
                                .get(code)
                                .replaceAll("\\D", "")
                                .contains(digits),
                        found);
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
