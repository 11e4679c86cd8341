package dipstick.core.wording;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.Condition;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Selection;
import dipstick.core.text.NormalText;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a selection picks, as a noun: "hearing check", "active problem in asthma". The window is not among it. */
public final class SelectionWords {
    /** Kinds that are nouns of their own; another kind is followed by "record". */
    public static final List<String> COUNTABLE = List.of(
            "problem",
            "result",
            "procedure",
            "vaccination",
            "visit",
            "appointment",
            "document",
            "medication",
            "contact");

    private SelectionWords() {}

    public static String one(Selection selection, LocalDate asOf) {
        return one(selection, Place.seenFrom(asOf));
    }

    static String one(Selection selection, Place place) {
        return noun(selection, false, place);
    }

    static String several(Selection selection, Place place) {
        return noun(selection, true, place);
    }

    private static String noun(Selection selection, boolean plural, Place place) {
        String active = selection.active() ? "active " : "";
        return active + kindsAndTerms(selection, plural, place) + where(selection.where(), place.at("where"));
    }

    private static String where(List<FieldTest> tests, Place place) {
        if (tests.size() == 1
                && tests.getFirst().field().name().equals("recorded_on")
                && tests.getFirst().condition() instanceof Condition.DateInWindow(var window)) {
            return " recorded " + WindowWords.of(window, place.at(0).at("window"));
        }
        return tests.isEmpty() ? "" : " whose " + FieldWords.all(tests, place);
    }

    /** A term set stands alone for one record of any kind; else the kinds stand before it: "records in hearing check". */
    private static String kindsAndTerms(Selection selection, boolean plural, Place place) {
        Optional<String> terms = selection
                .terms()
                .map(sets -> FieldWords.either(sets.stream()
                        .map(set -> place.name(set.name(), set.id()))
                        .toList()));
        if (selection.kinds().isEmpty() && terms.isPresent() && !plural) {
            return terms.get();
        }
        String kinds = selection
                .kinds()
                .map(chosen -> kinds(chosen, plural, place.at("kinds")))
                .orElse(plural ? "records" : "record");
        return kinds + terms.map(names -> " in " + names).orElse("");
    }

    private static String kinds(Set<ComparedText> kinds, boolean plural, Place place) {
        String records = plural ? " records" : " record";
        if (place.holdsDial()) {
            return place.words("") + records;
        }
        List<String> words = place.items(
                kinds.stream()
                        .map(ComparedText::written)
                        .sorted()
                        .map(kind -> kind(kind, plural, place))
                        .toList(),
                json -> kind(json.stringValue(), plural, place));
        return FieldWords.either(words) + (words.isEmpty() ? records : "");
    }

    /** One record of a kind: "visit", "fitting record". */
    public static String kind(String kind) {
        return kind(kind, false);
    }

    /** Between quotation marks where a term set has the name too, so that it is read as a kind. */
    private static String kind(String kind, boolean plural, Place place) {
        boolean shared = place.sharedNames().stream().map(NormalText::of).anyMatch(NormalText.of(kind)::equals);
        return shared && !COUNTABLE.contains(NormalText.of(kind))
                ? Quoted.always(kind) + (plural ? " records" : " record")
                : kind(kind, plural);
    }

    private static String kind(String kind, boolean plural) {
        if (COUNTABLE.contains(NormalText.of(kind))) {
            return plural ? kind + "s" : kind;
        }
        return Quoted.name(kind) + (plural ? " records" : " record");
    }
}
