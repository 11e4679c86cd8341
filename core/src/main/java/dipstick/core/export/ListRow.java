package dipstick.core.export;

import dipstick.core.evaluate.ListMember;
import dipstick.core.population.Population;
import java.util.Comparator;
import java.util.List;

/**
 * Somebody on a list, or to check, as the formats of the command line write them.
 *
 * @param person their id
 * @param dueOn a date, {@code never}, or empty where there is no due date
 * @param band empty where they are in none
 */
public record ListRow(String person, String state, String dueOn, String band) {
    public static final List<String> COLUMNS = List.of("person_id", "state", "due_on", "band");

    /** By person id by code point. */
    public static final Comparator<ListRow> BY_PERSON =
            Comparator.comparing(ListRow::person, ReadingExport.BY_CODE_POINT);

    /** In their order. */
    public static List<ListRow> of(Population records, List<ListMember> members) {
        return members.stream()
                .map(member -> new ListRow(
                        records.idOf(member.person()),
                        member.state().word(),
                        ReadingExport.dueText(member.due()),
                        member.band().orElse("")))
                .sorted(BY_PERSON)
                .toList();
    }

    public List<String> cells() {
        return List.of(person, state, dueOn, band);
    }
}
