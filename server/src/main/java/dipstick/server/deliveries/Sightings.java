package dipstick.server.deliveries;

import dipstick.core.records.EventRecord;
import dipstick.core.records.FieldValue;
import dipstick.core.records.PersonRecord;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What is odd about the records of a delivery, whatever is odd about its file. */
final class Sightings {
    /** Fields with few words, in which a new one is news. */
    static final List<String> OF_PEOPLE = List.of("sex", "status");

    static final List<String> OF_EVENTS = List.of("kind", "status", "unit");

    private static final int MOST_WORDS = 200;
    private static final int MOST_TOLD = 5;

    private final long today;
    private final Map<String, Set<String>> ofPeople = new HashMap<>();
    private final Map<String, Set<String>> ofEvents = new HashMap<>();
    private int people;
    private int withoutNames;
    private int ahead;

    Sightings(LocalDate today) {
        this.today = today.toEpochDay();
    }

    void person(PersonRecord person) {
        people++;
        if (!person.values().containsKey("family_name") && !person.values().containsKey("given_name")) {
            withoutNames++;
        }
        if (isAhead(person.values().get("birth_date"))) {
            ahead++;
        }
        words(person.values(), OF_PEOPLE, ofPeople);
    }

    /** An appointment is of a day to come; nothing else is. */
    void event(EventRecord event) {
        if (!event.text("kind").equals("appointment") && isAhead(event.values().get("on"))) {
            ahead++;
        }
        words(event.values(), OF_EVENTS, ofEvents);
    }

    private boolean isAhead(@Nullable FieldValue value) {
        return value instanceof FieldValue.OfDate(var days) && days.first() > today;
    }

    private static void words(Map<String, FieldValue> values, List<String> fields, Map<String, Set<String>> into) {
        for (String field : fields) {
            if (values.get(field) instanceof FieldValue.OfText(String text)) {
                Set<String> words = into.computeIfAbsent(field, _ -> new TreeSet<>());
                if (words.size() < MOST_WORDS) {
                    words.add(text);
                }
            }
        }
    }

    /** In sentences. */
    List<String> inWords() {
        List<String> said = new ArrayList<>();
        if (withoutNames > 0 && withoutNames * 2 < this.people) {
            said.add(withoutNames + (withoutNames == 1 ? " person has" : " people have") + " no name.");
        }
        if (ahead > 0) {
            said.add(ahead + (ahead == 1 ? " date is" : " dates are") + " in the future where none should be.");
        }
        return said;
    }

    /**
     * Words that are new in a field that has few.
     *
     * @param people the words on file in a field of people; none where nothing is known of it
     */
    List<Trial.NeverSeen> neverSeen(Function<String, Set<String>> people, Function<String, Set<String>> events) {
        return Stream.concat(neverSeen(true, ofPeople, people), neverSeen(false, ofEvents, events))
                .toList();
    }

    private static Stream<Trial.NeverSeen> neverSeen(
            boolean isOfPeople, Map<String, Set<String>> here, Function<String, Set<String>> onFile) {
        return here.entrySet().stream().flatMap(entry -> {
            Set<String> written = onFile.apply(entry.getKey());
            Set<String> known = written.stream().map(NormalText::of).collect(Collectors.toSet());
            List<String> unknown = entry.getValue().stream()
                    .filter(word -> !known.isEmpty() && !known.contains(NormalText.of(word)))
                    .limit(MOST_TOLD)
                    .toList();
            return unknown.isEmpty()
                    ? Stream.empty()
                    : Stream.of(new Trial.NeverSeen(
                            isOfPeople,
                            entry.getKey(),
                            unknown,
                            written.stream().sorted().limit(MOST_WORDS).toList()));
        });
    }
}
