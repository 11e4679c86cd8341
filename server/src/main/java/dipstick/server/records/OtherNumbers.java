package dipstick.server.records;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Numbers besides their own that lead to people: those that were joined to theirs. */
@Service
public class OtherNumbers {
    private final FurtherNumberMapper numbers;
    private final JoinedMapper joined;

    OtherNumbers(FurtherNumberMapper numbers, JoinedMapper joined) {
        this.numbers = numbers;
        this.joined = joined;
    }

    /** Two who are both on file, and are one by what a source said. */
    public record Said(String one, String other, String source) {}

    public List<Said> saidToBeOne() {
        return joined.allSaidToBeOne().stream()
                .map(said -> new Said(said.one(), said.other(), said.source()))
                .toList();
    }

    /**
     * Whom a source means by a number, as where it brings files in: whoever is on file under it, else whoever the source
     * was known to mean by it.
     *
     * @param onFile whether somebody has a number
     */
    public String meantBy(String number, String source, Predicate<String> onFile) {
        String person = number;
        Set<String> passed = new LinkedHashSet<>();
        Optional<FurtherNumberMapper.FurtherNumber> known = numbers.meant(person, source);
        while (!onFile.test(person) && known.isPresent() && passed.add(person)) {
            person = known.get().person();
            known = numbers.meant(person, source);
        }
        return person;
    }

    /** The number under which whoever has this one goes on; the same where it is joined to none. */
    public String goesOnAs(String number) {
        return goesOnAs(number, joined());
    }

    private static String goesOnAs(String number, Map<String, String> joined) {
        String person = number;
        Set<String> seen = new LinkedHashSet<>();
        while (joined.containsKey(person) && seen.add(person)) {
            person = joined.get(person);
        }
        return person;
    }

    /** Each number that is joined to another, and the one under which they go on. */
    public Map<String, String> all() {
        Map<String, String> direct = joined();
        Map<String, String> all = new HashMap<>();
        direct.keySet().forEach(number -> all.put(number, goesOnAs(number, direct)));
        return all;
    }

    /** All numbers of somebody, their own first. */
    public List<String> allOf(String person) {
        return Stream.concat(Stream.of(person), leadingTo(person).stream()).toList();
    }

    /** All numbers that lead to somebody, theirs not among them. */
    Set<String> leadingTo(String person) {
        return leadingTo(person, joined());
    }

    private static Set<String> leadingTo(String person, Map<String, String> joined) {
        Set<String> found = new LinkedHashSet<>();
        Deque<String> next = new ArrayDeque<>(List.of(person));
        while (!next.isEmpty()) {
            String to = next.pop();
            joined.forEach((number, one) -> {
                if (one.equals(to) && !number.equals(person) && found.add(number)) {
                    next.add(number);
                }
            });
        }
        return found;
    }

    private Map<String, String> joined() {
        Map<String, String> direct = new HashMap<>();
        numbers.joined().forEach(number -> direct.put(number.number(), number.person()));
        return direct;
    }
}
