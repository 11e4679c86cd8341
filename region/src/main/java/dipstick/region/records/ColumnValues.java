package dipstick.region.records;

import dipstick.core.population.FieldRows;
import dipstick.core.records.FieldValue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import org.apache.parquet.column.Dictionary;
import org.apache.parquet.io.api.Binary;
import org.apache.parquet.io.api.PrimitiveConverter;
import org.apache.parquet.schema.PrimitiveType.PrimitiveTypeName;

/**
 * Gathers a column of a row group, each different value once. Where the file has the values in a dictionary, its numbers are
 * taken, and no value is made again for each row.
 */
final class ColumnValues extends PrimitiveConverter {
    private static final int UNKNOWN = -2;

    private final PrimitiveTypeName type;
    private final Function<Object, Optional<FieldValue>> valueOf;
    private final int[] entries;
    private final List<FieldValue> values = new ArrayList<>();
    private final Map<Object, Integer> entryOf = new HashMap<>();
    private int[] ofDictionary = new int[0];
    private IntFunction<Object> dictionary = id -> id;
    private int row;

    /** @param valueOf what a cell says: a text, a day since 1970-01-01, a number or a flag */
    ColumnValues(PrimitiveTypeName type, int rows, Function<Object, Optional<FieldValue>> valueOf) {
        this.entries = new int[rows];
        Arrays.fill(entries, FieldRows.MISSING);
        this.type = type;
        this.valueOf = valueOf;
    }

    /** The row that the next value is of. */
    void at(int next) {
        row = next;
    }

    FieldRows rows() {
        return new FieldRows(entries, values);
    }

    private int entry(Object cell) {
        return entryOf.computeIfAbsent(
                cell,
                one -> valueOf.apply(one)
                        .map(value -> {
                            values.add(value);
                            return values.size() - 1;
                        })
                        .orElse(FieldRows.MISSING));
    }

    @Override
    public boolean hasDictionarySupport() {
        return true;
    }

    @Override
    public void setDictionary(Dictionary of) {
        ofDictionary = new int[of.getMaxId() + 1];
        Arrays.fill(ofDictionary, UNKNOWN);
        dictionary = id -> switch (type) {
            case BINARY -> of.decodeToBinary(id).toStringUsingUTF8();
            case INT32 -> of.decodeToInt(id);
            case DOUBLE -> of.decodeToDouble(id);
            default -> throw new IllegalStateException("No column of " + type + " has a dictionary");
        };
    }

    @Override
    public void addValueFromDictionary(int id) {
        if (ofDictionary[id] == UNKNOWN) {
            ofDictionary[id] = entry(dictionary.apply(id));
        }
        entries[row] = ofDictionary[id];
    }

    @Override
    public void addBinary(Binary text) {
        entries[row] = entry(text.toStringUsingUTF8());
    }

    @Override
    public void addInt(int day) {
        entries[row] = entry(day);
    }

    @Override
    public void addDouble(double number) {
        entries[row] = entry(number);
    }

    @Override
    public void addBoolean(boolean flag) {
        entries[row] = entry(flag);
    }
}
