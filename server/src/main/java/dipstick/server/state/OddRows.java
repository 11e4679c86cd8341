package dipstick.server.state;

import dipstick.core.export.FieldCell;
import dipstick.core.population.Population;
import dipstick.core.state.Oddity;
import dipstick.server.accounts.Colleague;
import dipstick.server.people.PersonLine;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Odd records, or people, as rows of a table that whoever keeps the source can look up. */
final class OddRows {
    private static final List<String> OF_PEOPLE =
            List.of("id", "family_name", "given_name", "birth_date", "deceased_on");
    private static final List<String> OF_RECORDS =
            List.of("source", "id", "kind", "code", "text", "on", "value", "unit", "status");

    private OddRows() {}

    /** The names of the columns, as files that are brought in name them. */
    static List<String> header(Oddity oddity) {
        return oddity.records().isEmpty()
                ? OF_PEOPLE
                : Stream.concat(Stream.of("person_id", "family_name", "given_name"), OF_RECORDS.stream())
                        .toList();
    }

    /** Of the people whom somebody may see. */
    static Stream<List<String>> of(Oddity oddity, Population population, Colleague here) {
        return oddity.records().isEmpty()
                ? seen(oddity.people().stream(), population, here)
                        .mapToObj(person -> ofPerson(population, person, OF_PEOPLE))
                : oddity.records().stream()
                        .filter(event -> maySee(population, population.events().owner(event), here))
                        .mapToObj(event -> ofRecord(population, event));
    }

    private static IntStream seen(IntStream people, Population population, Colleague here) {
        return people.filter(person -> maySee(population, person, here));
    }

    private static boolean maySee(Population population, int person, Colleague here) {
        return here.maySeePeopleOf(PersonLine.text(population, person, "provider"));
    }

    private static List<String> ofPerson(Population population, int person, List<String> fields) {
        return fields.stream()
                .map(name -> FieldCell.of(
                        population, population.personFields().find(name).orElseThrow(), person))
                .toList();
    }

    private static List<String> ofRecord(Population population, int event) {
        List<String> person =
                ofPerson(population, population.events().owner(event), List.of("id", "family_name", "given_name"));
        Stream<String> record = OF_RECORDS.stream()
                .map(name -> FieldCell.of(
                        population
                                .events()
                                .column(population.events().fields().find(name).orElseThrow()),
                        event));
        return Stream.concat(person.stream(), record).toList();
    }
}
