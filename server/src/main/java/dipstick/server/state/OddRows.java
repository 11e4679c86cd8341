package dipstick.server.state;

import dipstick.core.export.FieldCell;
import dipstick.core.population.Population;
import dipstick.core.state.Oddity;
import dipstick.server.accounts.Colleague;
import dipstick.server.people.PersonLine;
import java.util.BitSet;
import java.util.List;
import java.util.stream.Stream;

/**
 * Records in doubt, or people, as rows of a table that whoever keeps the source can look up.
 *
 * @param records by their numbers among the events; empty where it is about people alone
 */
record OddRows(Population population, BitSet records, BitSet people) {
    private static final List<String> OF_PEOPLE =
            List.of("id", "family_name", "given_name", "birth_date", "deceased_on");
    private static final List<String> OF_RECORDS =
            List.of("source", "id", "kind", "code", "text", "on", "value", "unit", "status");

    static OddRows of(Oddity oddity, Population population) {
        return new OddRows(population, oddity.records(), oddity.people());
    }

    /** The names of the columns, as files that are brought in name them. */
    List<String> header() {
        return records.isEmpty()
                ? OF_PEOPLE
                : Stream.concat(Stream.of("person_id", "family_name", "given_name"), OF_RECORDS.stream())
                        .toList();
    }

    /** Of the people whom somebody may see. */
    Stream<List<String>> rows(Colleague here) {
        return records.isEmpty()
                ? people.stream().filter(person -> maySee(person, here)).mapToObj(person -> ofPerson(person, OF_PEOPLE))
                : records.stream()
                        .filter(event -> maySee(population.events().owner(event), here))
                        .mapToObj(this::ofRecord);
    }

    /** All who are concerned. */
    BitSet everybody() {
        BitSet all = (BitSet) people.clone();
        records.stream().map(population.events()::owner).forEach(all::set);
        return all;
    }

    private boolean maySee(int person, Colleague here) {
        return here.maySeePeopleOf(PersonLine.text(population, person, "provider"));
    }

    private List<String> ofPerson(int person, List<String> fields) {
        return fields.stream()
                .map(name -> FieldCell.of(
                        population, population.personFields().find(name).orElseThrow(), person))
                .toList();
    }

    private List<String> ofRecord(int event) {
        List<String> person = ofPerson(population.events().owner(event), List.of("id", "family_name", "given_name"));
        Stream<String> record = OF_RECORDS.stream()
                .map(name -> FieldCell.of(
                        population
                                .events()
                                .column(population.events().fields().find(name).orElseThrow()),
                        event));
        return Stream.concat(person.stream(), record).toList();
    }
}
