package dipstick.server.records;

import dipstick.server.records.RecordsMapper.StoredEvent;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

@Component
@MappedTypes(StoredEvent.class)
class EventRecordReader extends RowReader<StoredEvent> {
    @Override
    StoredEvent read(ResultSet row) throws SQLException {
        return new StoredEvent(KnownColumns.EVENT.read(row), KnownColumns.EVENT.custom(row));
    }
}
