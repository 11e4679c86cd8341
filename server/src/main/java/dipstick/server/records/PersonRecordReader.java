package dipstick.server.records;

import dipstick.server.records.RecordsMapper.StoredPerson;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

@Component
@MappedTypes(StoredPerson.class)
class PersonRecordReader extends RowReader<StoredPerson> {
    /** The first of the known fields. */
    private static final int ID = 1;

    @Override
    StoredPerson read(ResultSet row) throws SQLException {
        return new StoredPerson(row.getString(ID), KnownColumns.PERSON.read(row), KnownColumns.PERSON.custom(row));
    }
}
