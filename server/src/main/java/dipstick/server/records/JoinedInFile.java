package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.records.PersonRecord;
import dipstick.server.records.JoinedMapper.EventNamed;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What one file says of people to whom another number is joined, kept until its end: it may name them by several of their
 * numbers, and none of these is to undo what another says.
 */
final class JoinedInFile {
    /** The number under which they go on, by each of the others. */
    private final Map<String, String> goesOnAs;

    private final Set<String> people;
    private final JoinedMapper joined;
    private final RecordsMapper records;
    private final Map<String, PersonRecord> byOwnNumber = new LinkedHashMap<>();
    private final Map<String, PersonRecord> byOtherNumber = new LinkedHashMap<>();
    private final List<EventRecord> events = new ArrayList<>();
    private final Map<String, String> numberOfEvent = new HashMap<>();
    private final Set<String> ownEvents = new HashSet<>();

    JoinedInFile(OtherNumbers numbers, JoinedMapper joined, RecordsMapper records) {
        this.goesOnAs = numbers.all();
        this.people = Set.copyOf(goesOnAs.values());
        this.joined = joined;
        this.records = records;
    }

    /**
     * Whether it keeps this until the end.
     *
     * @param number by which the file names them
     * @param person of whom it says this
     */
    boolean keeps(String number, PersonRecord person) {
        if (!people.contains(person.id())) {
            return false;
        }
        (number.equals(person.id()) ? byOwnNumber : byOtherNumber)
                .merge(person.id(), person, (first, next) -> JoinedRecords.together(next, first));
        return true;
    }

    boolean keeps(String number, EventRecord event) {
        if (!people.contains(event.personId())) {
            return false;
        }
        String key = RowMapping.row(event).recordKey();
        if (number.equals(event.personId()) || !goesOnAs.containsKey(number)) {
            ownEvents.add(key);
        } else {
            numberOfEvent.put(key, number);
        }
        events.add(event);
        return true;
    }

    /** Each once: what is said of them by their own number, with the blanks filled from what is said by the others. */
    List<PersonRecord> people() {
        Map<String, PersonRecord> all = new LinkedHashMap<>(byOtherNumber);
        byOwnNumber.forEach((id, own) -> all.merge(id, own, (other, said) -> JoinedRecords.together(said, other)));
        return List.copyOf(all.values());
    }

    List<EventRecord> events() {
        return List.copyOf(events);
    }

    /** Notes by which number its records came; before they are written, since they may be there already. */
    void nameEvents() {
        String[] keys = numberOfEvent.keySet().toArray(String[]::new);
        Set<String> onFile = new HashSet<>();
        if (keys.length > 0) {
            records.knownEvents(keys).forEach(event -> onFile.add(event.recordKey()));
        }
        numberOfEvent.forEach((key, number) -> {
            List<EventNamed> names = joined.namesOf(key);
            if (names.stream().noneMatch(named -> named.number().equals(number))) {
                boolean shared = ownEvents.contains(key) || (onFile.contains(key) && names.isEmpty());
                joined.name(new EventNamed(key, number, shared));
            }
        });
    }
}
