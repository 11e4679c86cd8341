package dipstick.server.records;

import dipstick.core.records.EventRecord;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.apache.ibatis.cursor.Cursor;
import org.apache.ibatis.mapping.ResultSetType;

@Mapper
interface RecordsMapper {
    record CustomFieldRow(String name, String type) {}

    /** A row that was read. It is another type than the row to be written, which MyBatis takes apart by name. */
    record StoredPerson(PersonRow row) {}

    record KnownEvent(String recordKey, String fingerprint, String personId) {}

    @Select("SELECT name, type FROM custom_field ORDER BY name")
    List<CustomFieldRow> customFields();

    @Insert("INSERT INTO custom_field (name, type) VALUES (#{name}, #{type})")
    int insertCustomField(CustomFieldRow field);

    /** Names the state of the records; another one after each change. */
    @Select("SELECT stamp FROM records_stamp")
    String stamp();

    @Update("UPDATE records_stamp SET stamp = #{stamp}")
    int changeStamp(String stamp);

    /** Read row by row by {@link PersonRowReader}, as all people are. */
    @Select("SELECT " + PersonRowReader.COLUMNS + " FROM person ORDER BY id")
    @Options(fetchSize = 1000, resultSetType = ResultSetType.FORWARD_ONLY)
    Cursor<StoredPerson> allPeople();

    /** Read row by row by {@link EventRecordReader}. */
    @Select("SELECT " + EventRecordReader.COLUMNS + " FROM event")
    @Options(fetchSize = 1000, resultSetType = ResultSetType.FORWARD_ONLY)
    Cursor<EventRecord> allEvents();

    /** Read row by row by {@link EventRecordReader}. */
    @Select("SELECT " + EventRecordReader.COLUMNS
            + " FROM event WHERE person_id = ANY(#{ids, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})")
    List<EventRecord> eventsOf(@Param("ids") String[] ids);

    @Select("SELECT " + PersonRowReader.COLUMNS
            + " FROM person WHERE id = ANY(#{ids, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})")
    List<StoredPerson> people(@Param("ids") String[] ids);

    @Select("SELECT id FROM person")
    List<String> personIds();

    @Delete("DELETE FROM person WHERE id = #{id}")
    int deletePerson(String id);

    @Delete("DELETE FROM event WHERE person_id = #{person}")
    int deleteEventsOf(String person);

    @Delete("DELETE FROM off_file WHERE person = #{person}")
    int onFileAgain(String person);

    @Delete("DELETE FROM off_file o WHERE EXISTS (SELECT 1 FROM person p WHERE p.id = o.person)")
    int forgetWhoCameBack();

    /** Whoever has records, or is or was on a list, and is no stub of somebody erased. */
    @Insert("""
            INSERT INTO off_file (person, since)
            SELECT person, #{today} FROM (SELECT person_id AS person FROM event UNION SELECT person FROM list_entry) held
            WHERE NOT EXISTS (SELECT 1 FROM person p WHERE p.id = held.person)
                AND NOT EXISTS (SELECT 1 FROM off_file o WHERE o.person = held.person)
                AND held.person NOT LIKE 'erased-____________'
            """)
    int noticeWhoIsOffFile(LocalDate today);

    @Select("SELECT person FROM off_file WHERE since <= #{day} ORDER BY person")
    List<String> offFileSince(LocalDate day);

    @Select("SELECT id FROM person WHERE came_at > #{moment}"
            + " AND id = ANY(#{ids, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})")
    List<String> newcomers(@Param("ids") String[] ids, @Param("moment") Instant moment);

    @Select("""
            SELECT record_key, fingerprint, person_id FROM event
            WHERE record_key = ANY(#{keys, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            """)
    List<KnownEvent> knownEvents(@Param("keys") String[] keys);

    @Insert("""
            INSERT INTO person (id, family_name, given_name, birth_first, birth_last, sex, status, deceased_first,
                deceased_last, provider, site, phone, mobile, email, address, city, postcode, language, contact_by,
                do_not_contact, custom, came_at)
            VALUES (#{one.id}, #{one.familyName}, #{one.givenName}, #{one.birthFirst}, #{one.birthLast}, #{one.sex},
                #{one.status}, #{one.deceasedFirst}, #{one.deceasedLast}, #{one.provider}, #{one.site}, #{one.phone},
                #{one.mobile}, #{one.email}, #{one.address}, #{one.city}, #{one.postcode}, #{one.language},
                #{one.contactBy}, #{one.doNotContact}, #{one.custom}, #{cameAt})
            """)
    int insertPerson(@Param("one") PersonRow person, @Param("cameAt") Instant cameAt);

    @Update("""
            UPDATE person SET family_name = #{familyName}, given_name = #{givenName}, birth_first = #{birthFirst},
                birth_last = #{birthLast}, sex = #{sex}, status = #{status}, deceased_first = #{deceasedFirst},
                deceased_last = #{deceasedLast}, provider = #{provider}, site = #{site}, phone = #{phone},
                mobile = #{mobile}, email = #{email}, address = #{address}, city = #{city},
                postcode = #{postcode}, language = #{language}, contact_by = #{contactBy},
                do_not_contact = #{doNotContact}, custom = #{custom}
            WHERE id = #{id}
            """)
    int updatePerson(PersonRow person);

    @Insert("""
            INSERT INTO event (record_key, fingerprint, id, person_id, kind, code, system, text, on_first, on_last,
                until_first, until_last, status, event_value, unit, value_text, keywords, provider, site, source)
            VALUES (#{recordKey}, #{fingerprint}, #{id}, #{personId}, #{kind}, #{code}, #{system}, #{text},
                #{onFirst}, #{onLast}, #{untilFirst}, #{untilLast}, #{status}, #{eventValue}, #{unit}, #{valueText},
                #{keywords}, #{provider}, #{site}, #{source})
            """)
    int insertEvent(EventRow event);

    @Update("""
            UPDATE event SET fingerprint = #{fingerprint}, person_id = #{personId}, kind = #{kind}, code = #{code},
                system = #{system}, text = #{text}, on_first = #{onFirst}, on_last = #{onLast},
                until_first = #{untilFirst}, until_last = #{untilLast}, status = #{status},
                event_value = #{eventValue}, unit = #{unit}, value_text = #{valueText}, keywords = #{keywords},
                provider = #{provider}, site = #{site}, source = #{source}
            WHERE record_key = #{recordKey}
            """)
    int updateEvent(EventRow event);
}
