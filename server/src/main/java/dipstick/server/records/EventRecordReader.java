package dipstick.server.records;

import dipstick.core.records.EventRecord;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.OptionalDouble;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

@Component
@MappedTypes(EventRecord.class)
class EventRecordReader extends RowReader<EventRecord> {
    /** What is selected, in the order in which it is read. */
    static final String COLUMNS = "id, person_id, kind, code, system, text, on_first, on_last, until_first, until_last,"
            + " status, event_value, unit, value_text, keywords, provider, site, source";

    private static final int ON = 7;
    private static final int UNTIL = 9;
    private static final int VALUE = 12;
    private static final int KEYWORDS = 15;

    @Override
    EventRecord read(ResultSet row) throws SQLException {
        double value = row.getDouble(VALUE);
        OptionalDouble optionalValue = row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
        String keywords = text(row, KEYWORDS);
        return new EventRecord(
                text(row, 1),
                text(row, 2),
                text(row, 3),
                text(row, 4),
                text(row, 5),
                text(row, 6),
                days(row, ON),
                days(row, UNTIL),
                text(row, 11),
                optionalValue,
                text(row, 13),
                text(row, 14),
                keywords.isEmpty() ? List.of() : List.of(keywords.split(RowMapping.KEYWORD_SEPARATOR, -1)),
                text(row, 16),
                text(row, 17),
                text(row, 18));
    }
}
