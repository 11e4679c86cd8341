package dipstick.server.records;

import dipstick.server.records.RecordsMapper.StoredPerson;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

@Component
@MappedTypes(StoredPerson.class)
class PersonRowReader extends RowReader<StoredPerson> {
    /** What is selected, in the order in which it is read. */
    static final String COLUMNS = "id, family_name, given_name, birth_first, birth_last, sex, status, deceased_first,"
            + " deceased_last, provider, site, phone, mobile, email, address, city, postcode, language, contact_by,"
            + " do_not_contact, custom";

    @Override
    StoredPerson read(ResultSet row) throws SQLException {
        return new StoredPerson(new PersonRow(
                row.getString(1),
                row.getString(2),
                row.getString(3),
                row.getObject(4, LocalDate.class),
                row.getObject(5, LocalDate.class),
                row.getString(6),
                row.getString(7),
                row.getObject(8, LocalDate.class),
                row.getObject(9, LocalDate.class),
                row.getString(10),
                row.getString(11),
                row.getString(12),
                row.getString(13),
                row.getString(14),
                row.getString(15),
                row.getString(16),
                row.getString(17),
                row.getString(18),
                row.getString(19),
                row.getObject(20, Boolean.class),
                row.getString(21)));
    }
}
