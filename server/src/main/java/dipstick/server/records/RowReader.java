package dipstick.server.records;

import dipstick.core.time.DateRange;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Optional;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;

/**
 * Reads a record from a whole row. MyBatis hands a type that has a handler the row itself; mapping constructor arguments
 * by name, row by row, took many times as long (docs/decisions/0003). Columns are read by their places, in the order in
 * which they are selected.
 */
abstract class RowReader<T> extends BaseTypeHandler<T> {
    abstract T read(ResultSet row) throws SQLException;

    @Override
    public T getNullableResult(ResultSet row, String ignored) throws SQLException {
        return read(row);
    }

    /** @param first the column of the first day, which that of the last follows */
    static Optional<DateRange> days(ResultSet row, int first) throws SQLException {
        LocalDate day = row.getObject(first, LocalDate.class);
        return day == null
                ? Optional.empty()
                : Optional.of(DateRange.between(day, row.getObject(first + 1, LocalDate.class)));
    }

    @Override
    public T getNullableResult(ResultSet row, int column) {
        throw new UnsupportedOperationException("A record is read from a whole row");
    }

    @Override
    public T getNullableResult(CallableStatement call, int column) {
        throw new UnsupportedOperationException("No procedure gives records");
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, T one, @Nullable JdbcType type) {
        throw new UnsupportedOperationException("A record is written as the columns of its row");
    }
}
