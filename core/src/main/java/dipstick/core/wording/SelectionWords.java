package dipstick.core.wording;

import dipstick.core.criteria.ComparedText;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.TermSet;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;

/** What a selection picks, as a noun: "hearing check", "active problem in asthma". The window is not among it. */
public final class SelectionWords {
    private static final List<String> COUNTABLE = List.of(
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
        return noun(selection, false, asOf);
    }

    public static String several(Selection selection, LocalDate asOf) {
        return noun(selection, true, asOf);
    }

    private static String noun(Selection selection, boolean plural, LocalDate asOf) {
        String active = selection.active() ? "active " : "";
        String where = selection.where().isEmpty()
                ? ""
                : " whose "
                        + selection.where().stream()
                                .map((FieldTest test) -> FieldWords.of(test, asOf))
                                .collect(Collectors.joining(" and "));
        return active + kindsAndTerms(selection, plural) + where;
    }

    private static String kindsAndTerms(Selection selection, boolean plural) {
        String terms = selection
                .terms()
                .map(sets -> FieldWords.either(sets.stream().map(TermSet::name).toList()))
                .orElse("");
        if (selection.kinds().isEmpty()) {
            if (terms.isEmpty()) {
                return plural ? "records" : "record";
            }
            return plural ? terms + " records" : terms;
        }
        String kinds = FieldWords.either(selection.kinds().get().stream()
                .map(ComparedText::written)
                .sorted()
                .map(kind -> kind(kind, plural))
                .toList());
        return terms.isEmpty() ? kinds : kinds + " in " + terms;
    }

    private static String kind(String kind, boolean plural) {
        if (COUNTABLE.contains(kind)) {
            return plural ? kind + "s" : kind;
        }
        return kind + (plural ? " records" : " record");
    }
}
