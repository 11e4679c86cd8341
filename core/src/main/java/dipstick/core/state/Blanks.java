package dipstick.core.state;

import dipstick.core.population.Column;
import dipstick.core.population.Events;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;

/**
 * How often a field is blank.
 *
 * @param kind of the records; empty for people
 * @param of how many people, or records of the kind, there are
 */
public record Blanks(String kind, String field, int blank, int of) {
    /** What every record has, or what is blank in most for good reason. */
    private static final Set<String> NOT_ASKED = Set.of(
            "id", "person_id", "kind", "keywords", "also_coded", "until", "recorded_on", "value_text", "deceased_on");

    /** The people in whom a field is blank. */
    public static BitSet in(Population people, Field field) {
        Column column = people.column(field);
        BitSet blank = new BitSet();
        for (int person = 0; person < people.size(); person++) {
            blank.set(person, column.isMissing(person));
        }
        return blank;
    }

    /** The records of a kind, as it is written, in which a field is blank. */
    public static BitSet in(Events events, String kind, Field field) {
        Column column = events.column(field);
        BitSet blank = new BitSet();
        for (int event = 0; event < events.size(); event++) {
            blank.set(
                    event,
                    column.isMissing(event) && events.kind().writtenAt(event).equals(kind));
        }
        return blank;
    }

    /** The fields of people, in their order. */
    static List<Blanks> ofPeople(Population people) {
        return people.personFields().all().stream()
                .filter(field -> !NOT_ASKED.contains(field.name()))
                .map(field -> new Blanks("", field.name(), in(people, field).cardinality(), people.size()))
                .toList();
    }

    /** Of each kind the fields that at least one of its records has. */
    static List<Blanks> ofEvents(Events events) {
        List<Field> fields = events.fields().all().stream()
                .filter(field -> !NOT_ASKED.contains(field.name()))
                .toList();
        int kinds = events.kind().codeCount();
        int[] records = new int[kinds];
        for (int event = 0; event < events.size(); event++) {
            records[events.kind().codes().get(event)]++;
        }
        List<Blanks> all = new ArrayList<>();
        for (Field field : fields) {
            Column column = events.column(field);
            int[] blank = new int[kinds];
            for (int event = 0; event < events.size(); event++) {
                blank[events.kind().codes().get(event)] += column.isMissing(event) ? 1 : 0;
            }
            for (int kind = 1; kind < kinds; kind++) {
                if (blank[kind] < records[kind]) {
                    all.add(new Blanks(events.kind().written().get(kind), field.name(), blank[kind], records[kind]));
                }
            }
        }
        return List.copyOf(all);
    }
}
