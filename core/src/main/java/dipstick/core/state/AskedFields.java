package dipstick.core.state;

import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Selections;
import dipstick.core.criteria.Test;
import dipstick.core.text.NormalText;
import dipstick.core.time.Window;

/** Whether the criteria of a set look at a field, so that it matters to its list where that is blank. */
public final class AskedFields {
    private AskedFields() {}

    /** A field of people; the birth date also where an age is asked. */
    public static boolean ofPeople(CriteriaSet set, String field) {
        return Selections.inForce(set).anyMatch(test -> switch (test) {
            case Test.OfField of -> of.test().field().name().equals(field);
            case Test.Age _ -> field.equals("birth_date");
            case Test.InRoster in ->
                in.roster().key().stream().anyMatch(one -> one.name().equals(field));
            default -> false;
        });
    }

    /** A field of the records of a kind; their day also where a window or an order is asked, their code where terms are. */
    public static boolean ofRecords(CriteriaSet set, String kind, String field) {
        return Selections.inForce(set)
                .anyMatch(test -> Selections.ofOne(test)
                        .anyMatch(asked -> isOf(asked.selection(), kind)
                                && (asked.tests().stream()
                                                .anyMatch(one ->
                                                        one.field().name().equals(field))
                                        || asksItself(test, asked.selection(), field))));
    }

    private static boolean isOf(Selection selection, String kind) {
        return selection
                .kinds()
                .map(kinds -> kinds.stream().anyMatch(one -> one.compared().equals(NormalText.of(kind))))
                .orElse(true);
    }

    private static boolean asksItself(Test test, Selection selection, String field) {
        return switch (field) {
            case "on" ->
                !(selection.window() instanceof Window.AnyDay)
                        || test instanceof Test.Pick
                        || test instanceof Test.Sequence;
            case "code", "text" -> selection.terms().isPresent();
            case "status" -> selection.active();
            default -> false;
        };
    }
}
