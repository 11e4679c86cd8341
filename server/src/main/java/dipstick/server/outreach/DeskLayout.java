package dipstick.server.outreach;

import dipstick.core.evaluate.ListMember;
import dipstick.core.export.FieldCell;
import dipstick.core.export.ListLayout;
import dipstick.core.export.ReadingExport;
import dipstick.core.population.Population;
import dipstick.core.records.Field;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** What a set shows of those at the desk besides, and in which order they stand ({@code show} and {@code order}). */
final class DeskLayout {
    private final Population records;
    private final Optional<ListLayout> layout;
    private final List<Field> fields;

    /** @param layout of the set as it is published; nothing where it does not fit the records */
    DeskLayout(Population records, Optional<ListLayout> layout) {
        this.records = records;
        this.layout = layout;
        this.fields = show().stream()
                .flatMap(name -> records.personFields().find(name).stream())
                .toList();
    }

    /** The names of all that is shown besides, also of what each row of the desk has anyway. */
    List<String> show() {
        return layout.map(ListLayout::header).orElse(List.of());
    }

    /** What the fields among those say of somebody; nothing where their own record is gone. */
    Map<String, String> cells(String person) {
        OptionalInt number = records.find(person);
        Map<String, String> cells = new LinkedHashMap<>();
        if (number.isPresent()) {
            fields.forEach(field -> cells.put(field.name(), FieldCell.of(records, field, number.getAsInt())));
        }
        return cells;
    }

    /** By person, where they stand in the order of the set; nothing where it gives none. Who is not on it stands last. */
    Optional<Map<String, Integer>> places(List<Entry> entries) {
        return layout.filter(ListLayout::isOrdered).map(ordered -> {
            List<ListMember> members =
                    entries.stream().flatMap(entry -> member(entry).stream()).toList();
            Map<String, Integer> places = new HashMap<>();
            entries.forEach(entry -> places.put(entry.person(), members.size()));
            int place = 0;
            for (ListMember member : ordered.ordered(members)) {
                places.put(records.idOf(member.person()), place++);
            }
            return places;
        });
    }

    private Optional<ListMember> member(Entry entry) {
        OptionalInt number = records.find(entry.person());
        return entry.standing() == Entry.Standing.OFF || number.isEmpty()
                ? Optional.empty()
                : Optional.of(new ListMember(
                        number.getAsInt(),
                        entry.standing() == Entry.Standing.ON ? ListMember.State.ON : ListMember.State.CHECK,
                        ReadingExport.due(entry.dueOn()),
                        Optional.of(entry.band()).filter(band -> !band.isEmpty())));
    }
}
