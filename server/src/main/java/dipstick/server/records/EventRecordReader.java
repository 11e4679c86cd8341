package dipstick.server.records;

import dipstick.server.records.RecordsMapper.StoredEvent;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

@Component
@MappedTypes(StoredEvent.class)
class EventRecordReader extends RowReader<StoredEvent> {
    private static final int CUSTOM = EventColumns.NAMES.size() + 1;

    @Override
    StoredEvent read(ResultSet row) throws SQLException {
        return new StoredEvent(EventColumns.read(row), Optional.ofNullable(row.getString(CUSTOM)));
    }
}
