package dipstick.server.criteria;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.ShouldHave;
import dipstick.core.criteria.TermSet;
import dipstick.core.evaluate.Level.Section;
import dipstick.core.wording.SentencePrinter;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * One published version of a set, beside the one before it; or a draft, beside what is published.
 *
 * @param note why it was published
 * @param changes what it says otherwise, in words
 * @param on how many are on its list, and {@code toCheck} of how many that cannot be told, over the records of now as of the practice's today
 * @param joined how many of them are not on the list of the version before, and {@code left} those only there
 * @param doubts what looks wrong about it over those records, in sentences
 */
record SetVersion(
        int version,
        String changedAt,
        String changedBy,
        String note,
        List<String> changes,
        int on,
        int toCheck,
        int joined,
        int left,
        List<String> doubts) {
    /** What is added, removed or says otherwise; criteria are the same where their ids are. */
    static List<String> changes(CriteriaSet before, CriteriaSet after, LocalDate asOf) {
        Map<String, String> old = sentences(before, asOf);
        Map<String, String> now = sentences(after, asOf);
        List<String> changes = new ArrayList<>();
        now.forEach((id, words) -> {
            if (!old.containsKey(id)) {
                changes.add("Added: " + words);
            } else if (!old.get(id).equals(words)) {
                changes.add("Changed: " + old.get(id) + " → " + words);
            }
        });
        old.forEach((id, words) -> {
            if (!now.containsKey(id)) {
                changes.add("Removed: " + words);
            }
        });
        Map<String, TermSet> termSets =
                before.termSets().stream().collect(Collectors.toMap(TermSet::id, Function.identity()));
        after.termSets().stream()
                .filter(set -> termSets.containsKey(set.id()) && !set.equals(termSets.get(set.id())))
                .forEach(set -> changes.add("Changed: the term set “" + set.name() + "”"));
        if (changes.isEmpty() && !before.equals(after)) {
            changes.add("Changed: its name, purpose, dials or what it shows");
        }
        return changes;
    }

    private static Map<String, String> sentences(CriteriaSet set, LocalDate asOf) {
        Map<String, String> sentences = new LinkedHashMap<>();
        put(sentences, Section.INCLUDE, set.include(), asOf);
        put(sentences, Section.EXCLUDE, set.exclude(), asOf);
        List<Criterion> asked = set.shouldHave().map(ShouldHave::of).orElse(List.of());
        put(sentences, Section.SHOULD_HAVE, asked, asOf);
        return sentences;
    }

    private static void put(Map<String, String> sentences, Section section, List<Criterion> criteria, LocalDate asOf) {
        SentencePrinter printer = new SentencePrinter(asOf);
        String words = switch (section) {
            case INCLUDE -> "include ";
            case EXCLUDE -> "exclude ";
            case SHOULD_HAVE -> "should have ";
        };
        for (Criterion criterion : criteria) {
            String off = criterion.off() ? " (switched off)" : "";
            sentences.put(
                    criterion.id(), words + printer.print(criterion.test()).text() + off);
        }
    }
}
