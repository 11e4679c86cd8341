package dipstick.server.records;

import dipstick.server.records.FurtherNumberMapper.FurtherNumber;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Whom a delivery means by its numbers: whoever is on file under one, else whoever its source was known to mean by it, as
 * the delivery itself goes on to say.
 */
final class WhoIsMeant {
    private final String source;
    private final Set<String> onFile;
    private final Map<String, String> known = new HashMap<>();
    private final Map<String, FurtherNumber> learned = new HashMap<>();
    private final List<String> bothOnFile = new ArrayList<>();

    WhoIsMeant(String source, Set<String> onFile, List<FurtherNumber> numbers) {
        this.source = source;
        this.onFile = onFile;
        numbers.forEach(number -> known.put(number.number(), number.person()));
    }

    String by(String number) {
        return onFile.contains(number) ? number : known.getOrDefault(number, number);
    }

    /** The source knows the person by another number, too. */
    void alsoKnown(String person, String number) {
        learn(person, number, source);
    }

    /** Two are one; where both are on file a person has to join them, since colleagues may work with either. */
    void merged(String person, String number) {
        if (onFile.contains(number) && onFile.contains(by(person))) {
            bothOnFile.add(number + " is " + by(person));
        } else {
            learn(person, number, "");
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

    /** Pairs of people who are both on file, and are one by what the source says. */
    List<String> bothOnFile() {
        return List.copyOf(bothOnFile);
    }
}
