package dipstick.region.records;

import dipstick.core.records.Coding;
import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import dipstick.core.records.FieldValue;
import dipstick.core.time.DateRange;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The values of records as cells of {@linkplain PartColumns columns}, and back. */
public final class CellValues {
    private CellValues() {}

    /** The cells of a record, in the order of the columns of these fields; null where it has no value. */
    public static Object[] cells(List<Field> fields, Map<String, FieldValue> values) {
        List<@Nullable Object> cells = new ArrayList<>();
        for (Field field : fields) {
            Optional<FieldValue> value = Optional.ofNullable(values.get(field.name()));
            if (value.isPresent()) {
                add(value.get(), cells);
            } else {
                cells.addAll(Collections.nCopies(field.type() == FieldType.DATE ? 2 : 1, null));
            }
        }
        return cells.toArray();
    }

    private static void add(FieldValue value, List<@Nullable Object> cells) {
        switch (value) {
            case FieldValue.OfText text -> cells.add(text.text());
            case FieldValue.OfTexts texts -> cells.add(texts.written());
            case FieldValue.OfCodings codings -> cells.add(Coding.written(codings.codings()));
            case FieldValue.OfNumber number -> cells.add(number.number());
            case FieldValue.OfFlag flag -> cells.add(flag.flag());
            case FieldValue.OfDate(DateRange days) -> {
                cells.add(days.first());
                cells.add(days.isExact() ? null : days.last());
            }
        }
    }

    /** What a text cell of a field says; nothing where it is blank. */
    static Optional<FieldValue> text(FieldType type, String cell) {
        return switch (type) {
            case IDENTIFIER, TEXT ->
                Optional.of(cell).filter(text -> !text.isEmpty()).map(FieldValue.OfText::new);
            case TEXTS -> FieldValue.OfTexts.parse(cell).map(FieldValue.class::cast);
            case CODINGS ->
                Optional.of(Coding.parse(cell)).filter(all -> !all.isEmpty()).map(FieldValue.OfCodings::new);
            case NUMBER, DATE, FLAG -> throw new IllegalArgumentException("No text is a " + type.word());
        };
    }
}
