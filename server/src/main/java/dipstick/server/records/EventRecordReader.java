package dipstick.server.records;

import dipstick.core.records.EventRecord;
import dipstick.core.time.DateRange;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Reads an event from a whole row. MyBatis hands a type that has a handler the row itself; mapping constructor
 * arguments by name, row by row, took many times as long (docs/decisions/0003).
 */
@Component
@MappedTypes(EventRecord.class)
class EventRecordReader extends BaseTypeHandler<EventRecord> {
    @Override
    public EventRecord getNullableResult(ResultSet row, String ignored) throws SQLException {
        double value = row.getDouble("event_value");
        OptionalDouble optionalValue = row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
        String keywords = text(row, "keywords");
        return new EventRecord(
                text(row, "id"),
                text(row, "person_id"),
                text(row, "kind"),
                text(row, "code"),
                text(row, "system"),
                text(row, "text"),
                days(row, "on_first", "on_last"),
                days(row, "until_first", "until_last"),
                text(row, "status"),
                optionalValue,
                text(row, "unit"),
                text(row, "value_text"),
                keywords.isEmpty() ? List.of() : List.of(keywords.split(RowMapping.KEYWORD_SEPARATOR, -1)),
                text(row, "provider"),
                text(row, "site"),
                text(row, "source"));
    }

    private static String text(ResultSet row, String column) throws SQLException {
        String text = row.getString(column);
        return text == null ? "" : text;
    }

    private static Optional<DateRange> days(ResultSet row, String first, String last) throws SQLException {
        LocalDate day = row.getObject(first, LocalDate.class);
        return day == null
                ? Optional.empty()
                : Optional.of(DateRange.between(day, row.getObject(last, LocalDate.class)));
    }

    @Override
    public EventRecord getNullableResult(ResultSet row, int column) {
        throw new UnsupportedOperationException("An event is read from a row whose columns have names");
    }

    @Override
    public EventRecord getNullableResult(CallableStatement call, int column) {
        throw new UnsupportedOperationException("No procedure gives events");
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int at, EventRecord event, @Nullable JdbcType type) {
        throw new UnsupportedOperationException("An event is written as its row");
    }
}
