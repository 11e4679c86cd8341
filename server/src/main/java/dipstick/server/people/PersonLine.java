package dipstick.server.people;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.time.DateRange;
import dipstick.core.time.PartialDate;
import dipstick.core.wording.DayWords;
import java.time.LocalDate;
import java.time.Period;
import java.util.Comparator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A person as one line of a list.
 *
 * @param age completed years, or the two between which they lie; empty where no birth date is on record
 */
public record PersonLine(
        String id,
        String name,
        String born,
        String age,
        String phone,
        String provider,
        String site,
        boolean doNotContact) {
    public static final Comparator<PersonLine> BY_NAME = Comparator.comparing(
                    (PersonLine line) -> line.name(), String.CASE_INSENSITIVE_ORDER)
            .thenComparing(PersonLine::id);

    public static PersonLine of(Population population, int person, LocalDate asOf) {
        Column.OfDate births = population.birthDate();
        int birth = births.codes().get(person);
        boolean known = birth != Codes.MISSING;
        String mobile = text(population, person, "mobile");
        return new PersonLine(
                population.idOf(person),
                name(population, person),
                known ? DayWords.date(births.days().get(birth)) : "",
                known ? age(births.days().get(birth), asOf) : "",
                mobile.isEmpty() ? text(population, person, "phone") : mobile,
                text(population, person, "provider"),
                text(population, person, "site"),
                flag(population, person, "do_not_contact"));
    }

    /** Somebody by their id; where their own record is gone, they keep that. */
    public static PersonLine of(Population population, String id, LocalDate asOf) {
        var person = population.find(id);
        return person.isPresent()
                ? of(population, person.getAsInt(), asOf)
                : new PersonLine(id, id, "", "", "", "", "", false);
    }

    /** Family name first, as lists are sorted; the id where there is no name. */
    static String name(Population population, int person) {
        String name = Stream.of("family_name", "given_name")
                .map(field -> text(population, person, field))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining(", "));
        return name.isEmpty() ? population.idOf(person) : name;
    }

    /** The same by their id, which is all that is left of somebody whose own record is gone. */
    public static String name(Population population, String id) {
        var person = population.find(id);
        return person.isPresent() ? name(population, person.getAsInt()) : id;
    }

    /** What a text field says of somebody; empty where they, or it, are not on record. */
    public static String field(Population population, String id, String field) {
        var person = population.find(id);
        return person.isPresent() ? text(population, person.getAsInt(), field) : "";
    }

    /** What a text field says of somebody on file; empty where it is not on record. */
    public static String text(Population population, int person, String field) {
        return population
                .personFields()
                .find(field)
                .map(found -> ((Column.OfText) population.column(found)).writtenAt(person))
                .orElse("");
    }

    /** The birth date of somebody as ISO 8601 writes it; empty where they, or it, are not on record. */
    public static String birthDate(Population population, String id) {
        var person = population.find(id);
        if (person.isEmpty()) {
            return "";
        }
        int birth = population.birthDate().codes().get(person.getAsInt());
        return birth == Codes.MISSING
                ? ""
                : PartialDate.written(population.birthDate().days().get(birth));
    }

    private static boolean flag(Population population, int person, String field) {
        return population
                .personFields()
                .find(field)
                .map(found -> population.column(found).codes().get(person) == Column.OfFlag.TRUE)
                .orElse(false);
    }

    private static String age(DateRange birth, LocalDate asOf) {
        int oldest = Period.between(LocalDate.ofEpochDay(birth.first()), asOf).getYears();
        int youngest = Period.between(LocalDate.ofEpochDay(birth.last()), asOf).getYears();
        return oldest == youngest ? String.valueOf(oldest) : youngest + "–" + oldest;
    }
}
