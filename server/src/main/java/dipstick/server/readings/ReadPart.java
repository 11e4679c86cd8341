package dipstick.server.readings;

import dipstick.core.evaluate.Reading;
import dipstick.core.population.Population;
import dipstick.core.text.NormalText;
import dipstick.server.people.PersonLine;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * How the people of one provider, or of one site, stood at a reading.
 *
 * @param field the person field that makes the parts
 * @param name the provider or site; empty for those who have none
 */
public record ReadPart(String field, String name, int eligible, int has, int onList, int toCheck) {
    /** The person fields whose parts are kept. */
    public static final List<String> FIELDS = List.of("provider", "site");

    /** Every part in which somebody is eligible or may be on the list. */
    static List<ReadPart> of(Reading reading) {
        return FIELDS.stream().flatMap(field -> of(reading, field).stream()).toList();
    }

    private static List<ReadPart> of(Reading reading, String field) {
        Population records = reading.records();
        Map<String, BitSet> written = new HashMap<>();
        BitSet concerned = (BitSet) reading.eligible().yes().clone();
        concerned.or(reading.list().unsure());
        concerned.stream().forEach(person -> {
            String name = PersonLine.text(records, person, field);
            written.computeIfAbsent(name, _ -> new BitSet()).set(person);
        });
        // However a name is written; it is shown as of the first person.
        Map<String, BitSet> parts = new TreeMap<>();
        Map<String, String> names = new HashMap<>();
        written.entrySet().stream()
                .sorted(Comparator.comparingInt(part -> part.getValue().nextSetBit(0)))
                .forEach(part -> {
                    String key = NormalText.of(part.getKey());
                    names.putIfAbsent(key, part.getKey());
                    parts.computeIfAbsent(key, _ -> new BitSet()).or(part.getValue());
                });
        return parts.entrySet().stream()
                .map(part -> new ReadPart(
                        field,
                        names.getOrDefault(part.getKey(), ""),
                        common(part.getValue(), reading.eligible().yes()),
                        common(part.getValue(), reading.eligibleAndHas().yes()),
                        common(part.getValue(), reading.list().yes()),
                        common(part.getValue(), reading.list().unsure())))
                .toList();
    }

    private static int common(BitSet some, BitSet others) {
        BitSet both = (BitSet) some.clone();
        both.and(others);
        return both.cardinality();
    }
}
