package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.server.records.FurtherNumberMapper.FurtherNumber;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Whom a delivery means by its numbers: whoever is on file under one, else whoever its source was known to mean by it, as
 * the delivery itself goes on to say.
 */
final class WhoIsMeant {
    private final String source;
    private final Set<String> onFile;
    private final Map<String, String> known = new HashMap<>();
    private final Map<String, FurtherNumber> learned = new HashMap<>();
    private final List<Both> merged = new ArrayList<>();
    private final List<Both> alsoKnown = new ArrayList<>();

    /** Two who are both on file; a person has to say whether they are one, since colleagues may work with either. */
    record Both(String number, String person) {
        String words() {
            return number + " is " + person;
        }
    }

    WhoIsMeant(String source, Set<String> onFile, List<FurtherNumber> numbers) {
        this.source = source;
        this.onFile = onFile;
        numbers.forEach(number -> known.put(number.number(), number.person()));
    }

    String by(String number) {
        String person = number;
        Set<String> passed = new HashSet<>();
        while (!onFile.contains(person) && known.containsKey(person) && passed.add(person)) {
            person = known.get(person);
        }
        return person;
    }

    /** What is said of a number, as said of whom it means. */
    PersonRecord by(PersonRecord said) {
        String meant = by(said.id());
        return meant.equals(said.id()) ? said : new PersonRecord(meant, with(said.values(), "id", meant));
    }

    EventRecord by(EventRecord said) {
        String meant = by(said.personId());
        return meant.equals(said.personId()) ? said : new EventRecord(with(said.values(), "person_id", meant));
    }

    private static Map<String, FieldValue> with(Map<String, FieldValue> values, String field, String text) {
        Map<String, FieldValue> other = new HashMap<>(values);
        other.put(field, new FieldValue.OfText(text));
        return other;
    }

    /** The source knows the person by another number, too. */
    void alsoKnown(String person, String number) {
        noteBoth(person, number, alsoKnown);
        learn(person, number, source);
    }

    /** Two are one. */
    void merged(String person, String number) {
        noteBoth(person, number, merged);
        learn(person, number, "");
    }

    private void noteBoth(String person, String number, List<Both> noted) {
        String meant = by(person);
        if (onFile.contains(number) && onFile.contains(meant) && !number.equals(meant)) {
            noted.add(new Both(number, meant));
        }
    }

    private void learn(String person, String number, String bySource) {
        String meant = by(person);
        if (!onFile.contains(number) && !number.equals(meant) && !meant.equals(known.get(number))) {
            known.put(number, meant);
            learned.put(number, new FurtherNumber(number, bySource, meant, 0));
        }
    }

    List<FurtherNumber> learned(long delivery) {
        return learned.values().stream()
                .map(one -> new FurtherNumber(one.number(), one.source(), one.person(), delivery))
                .toList();
    }

    /** Pairs of people who are both on file, of whom the source says that one became the other. */
    List<Both> mergedOnFile() {
        return List.copyOf(merged);
    }

    /** These, and pairs of whom one has the other's number as a further one. */
    List<Both> saidToBeOne() {
        return Stream.concat(merged.stream(), alsoKnown.stream()).distinct().toList();
    }
}
