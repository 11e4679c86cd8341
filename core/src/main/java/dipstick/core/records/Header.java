package dipstick.core.records;

import dipstick.core.text.NormalText;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the columns of a file are (criteria.md section 1): fields that are known by name in any case, and custom ones
 * as they are written, with the type that they say.
 *
 * @param columns one for each column of the file; none where it has no name and is passed over
 */
record Header(List<Optional<Field>> columns) {
    Header {
        columns = List.copyOf(columns);
    }

    /**
     * @param names as written in the file
     * @param known the fields that files of this sort have
     * @param practice the same with the custom fields that the practice has already; their type stays
     * @throws UnreadableFile at the header's line, where a column stands twice or has the name of another field
     */
    static Header of(List<String> names, long line, Fields known, Fields practice) {
        Map<String, Field> byName = new HashMap<>();
        List<Optional<Field>> columns = new ArrayList<>();
        for (String name : names) {
            Optional<Field> knownField = known.find(NormalText.of(name));
            Optional<Field> field = knownField.isPresent() ? knownField : Fields.customField(name);
            field.ifPresent(one -> {
                boolean custom = knownField.isEmpty();
                if (custom && known.find(NormalText.of(one.name())).isPresent()) {
                    throw new UnreadableFile(
                            line,
                            "The header gives “" + one.name() + "” a type, but that is a field which has one. Leave"
                                    + " the type out, or give the column another name.");
                }
                if (byName.put(one.name(), one) != null) {
                    throw new UnreadableFile(
                            line, "The header names the field “" + DelimitedFile.shorten(one.name()) + "” twice.");
                }
            });
            columns.add(field.map(one -> asThePracticeHasIt(one, line, practice)));
        }
        return new Header(columns);
    }

    private static Field asThePracticeHasIt(Field field, long line, Fields practice) {
        return practice.asHere(field)
                .orElseThrow(() -> new UnreadableFile(
                        line,
                        "The header gives the field “" + DelimitedFile.shorten(field.name()) + "” another type than it"
                                + " has here, which is "
                                + practice.find(field.name())
                                        .orElseThrow()
                                        .type()
                                        .word() + "."));
    }

    List<Field> fields() {
        return columns.stream().flatMap(Optional::stream).toList();
    }

    /** The fields that the file adds to those that are known. */
    List<Field> customFields(Fields known) {
        return fields().stream()
                .filter(field -> known.find(field.name()).isEmpty())
                .toList();
    }

    /** Reads the cells of a row by the fields of their columns. */
    Map<String, FieldValue> read(DelimitedFile.Row row, CellReader cells) {
        Map<String, FieldValue> values = HashMap.newHashMap(columns.size());
        for (int i = 0; i < columns.size(); i++) {
            String cell = row.cells().get(i);
            if (!cell.isEmpty()) {
                columns.get(i)
                        .ifPresent(
                                field -> cells.read(field, cell).ifPresent(value -> values.put(field.name(), value)));
            }
        }
        return values;
    }
}
