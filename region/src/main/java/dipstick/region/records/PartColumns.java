package dipstick.region.records;

import dipstick.core.records.Field;
import dipstick.core.records.FieldType;
import java.util.List;
import java.util.stream.Stream;
import org.apache.parquet.schema.LogicalTypeAnnotation;
import org.apache.parquet.schema.MessageType;
import org.apache.parquet.schema.PrimitiveType;
import org.apache.parquet.schema.PrimitiveType.PrimitiveTypeName;
import org.apache.parquet.schema.Type;
import org.apache.parquet.schema.Types;

/**
 * The columns of a field in a Parquet file. A date is its first day, and beside it its last where it is no single day; several
 * texts, and further codes, are a text as our CSV writes it.
 */
public final class PartColumns {
    /** What the column of a date's last day is called besides. */
    private static final String LAST = "_last";

    private PartColumns() {}

    /** The name of the column of a date's last day. */
    public static String last(String field) {
        return field + LAST;
    }

    public static MessageType schema(Side side, List<Field> fields) {
        Types.MessageTypeBuilder schema = Types.buildMessage();
        fields.stream().flatMap(field -> columns(side, field)).forEach(schema::addField);
        return schema.named(side.folder());
    }

    /** The columns of a field, in their order. */
    static Stream<Type> columns(Side side, Field field) {
        PrimitiveType column = column(side, field);
        return field.type() == FieldType.DATE
                ? Stream.of(column, day(Type.Repetition.OPTIONAL, last(field.name())))
                : Stream.of(column);
    }

    private static PrimitiveType column(Side side, Field field) {
        Type.Repetition repetition =
                side.required().contains(field.name()) ? Type.Repetition.REQUIRED : Type.Repetition.OPTIONAL;
        return switch (field.type()) {
            case IDENTIFIER, TEXT, TEXTS, CODINGS ->
                Types.primitive(PrimitiveTypeName.BINARY, repetition)
                        .as(LogicalTypeAnnotation.stringType())
                        .named(field.name());
            case NUMBER -> Types.primitive(PrimitiveTypeName.DOUBLE, repetition).named(field.name());
            case DATE -> day(repetition, field.name());
            case FLAG -> Types.primitive(PrimitiveTypeName.BOOLEAN, repetition).named(field.name());
        };
    }

    private static PrimitiveType day(Type.Repetition repetition, String name) {
        return Types.primitive(PrimitiveTypeName.INT32, repetition)
                .as(LogicalTypeAnnotation.dateType())
                .named(name);
    }
}
