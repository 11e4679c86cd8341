package dipstick.server.records;

import dipstick.core.records.FieldValue;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.apache.ibatis.cursor.Cursor;
import org.apache.ibatis.mapping.ResultSetType;
import org.jspecify.annotations.Nullable;

@Mapper
interface RecordsMapper {
    /**
     * Many ids as a table of one column, to be joined: of a condition on an array every element would be held beside every
     * row that an index found.
     */
    String IDS_WANTED =
            "UNNEST(CAST(#{ids, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY)) w (wanted)";

    String KEYS_WANTED =
            "UNNEST(CAST(#{keys, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY)) w (wanted)";

    record CustomFieldRow(String name, String type, boolean ofEvents) {}

    /** A row that was read. It is another type than the row to be written, which MyBatis takes apart by name. */
    record StoredPerson(PersonRow row) {}

    /**
     * A row that was read.
     *
     * @param custom its custom fields, as a JSON object
     */
    record StoredEvent(Map<String, FieldValue> known, Optional<String> custom) {}

    record KnownEvent(String recordKey, String fingerprint, String personId) {}

    /** @param saidBy as {@link SaidBy} writes it */
    record PersonSaidBy(String id, String saidBy) {}

    @Select("SELECT name, type, of_events FROM custom_field ORDER BY name")
    List<CustomFieldRow> customFields();

    @Insert("INSERT INTO custom_field (name, type, of_events) VALUES (#{name}, #{type}, #{ofEvents})")
    int insertCustomField(CustomFieldRow field);

    /** Names the state of the records; another one after each change. */
    @Select("SELECT stamp FROM records_stamp")
    String stamp();

    @Update("UPDATE records_stamp SET stamp = #{stamp}")
    int changeStamp(String stamp);

    /**
     * Has this connection hand rows on as they are read, and not gather a result first, which H2 would write to disk. Nothing
     * else is read so: rows that are removed meanwhile would be missed with an error.
     */
    @Update("SET LAZY_QUERY_EXECUTION TRUE")
    void handOnAsRead();

    @Update("SET LAZY_QUERY_EXECUTION FALSE")
    void gatherFirst();

    /** Read row by row by {@link PersonRowReader}, as all people are. */
    @Select("SELECT " + PersonRowReader.COLUMNS + " FROM person ORDER BY id")
    @Options(fetchSize = 1000, resultSetType = ResultSetType.FORWARD_ONLY)
    Cursor<StoredPerson> allPeople();

    @Select("SELECT count(*) FROM event")
    long countEvents();

    /** Read row by row by {@link EventRecordReader}; the statement is among the {@link EventStatements}. */
    Cursor<StoredEvent> allEvents();

    /** Read row by row by {@link EventRecordReader}; the statement is among the {@link EventStatements}. */
    List<StoredEvent> eventsOf(@Param("ids") String[] ids);

    /** @param ids each once */
    @Select("SELECT " + PersonRowReader.COLUMNS + " FROM " + IDS_WANTED + " INNER JOIN person ON id = wanted")
    List<StoredPerson> people(@Param("ids") String[] ids);

    /** @param ids each once */
    @Select("SELECT id, said_by FROM " + IDS_WANTED + " INNER JOIN person ON id = wanted WHERE said_by IS NOT NULL")
    List<PersonSaidBy> saidBy(@Param("ids") String[] ids);

    @Update("UPDATE person SET said_by = #{saidBy} WHERE id = #{id}")
    int updateSaidBy(@Param("id") String id, @Param("saidBy") @Nullable String saidBy);

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

    /** Whoever has records, or is or was on a list, and is no stub of somebody erased, nor a number that leads to somebody. */
    @Insert("""
            INSERT INTO off_file (person, since)
            SELECT person, #{today} FROM (SELECT person_id AS person FROM event UNION SELECT person FROM list_entry) held
            WHERE NOT EXISTS (SELECT 1 FROM person p WHERE p.id = held.person)
                AND NOT EXISTS (SELECT 1 FROM off_file o WHERE o.person = held.person)
                AND held.person NOT LIKE 'erased-____________'
                AND NOT EXISTS (SELECT 1 FROM person_number n WHERE n.number = held.person AND n.delivery < 0)
            """)
    int noticeWhoIsOffFile(LocalDate today);

    @Select("SELECT person FROM off_file WHERE since <= #{day} ORDER BY person")
    List<String> offFileSince(LocalDate day);

    /** @param ids each once */
    @Select("SELECT id FROM " + IDS_WANTED + " INNER JOIN person ON id = wanted WHERE came_at > #{moment}")
    List<String> newcomers(@Param("ids") String[] ids, @Param("moment") Instant moment);

    /** @param keys each once */
    @Select("SELECT record_key, fingerprint, person_id FROM " + KEYS_WANTED
            + " INNER JOIN event ON record_key = wanted")
    List<KnownEvent> knownEvents(@Param("keys") String[] keys);

    /** Read row by row by {@link EventRecordReader}; the statement is among the {@link EventStatements}. */
    List<StoredEvent> eventsByKey(@Param("keys") String[] keys);

    @Select("""
            SELECT record_key, fingerprint, person_id FROM event WHERE source = #{source}
                AND kind = ANY(#{kinds, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            """)
    List<KnownEvent> eventsOfSource(@Param("source") String source, @Param("kinds") String[] kinds);

    @Insert("""
            INSERT INTO person (id, family_name, given_name, birth_first, birth_last, sex, status, deceased_first,
                deceased_last, provider, site, phone, mobile, email, address, city, postcode, language, contact_by,
                do_not_contact, custom, said_by, came_at)
            VALUES (#{one.id}, #{one.familyName}, #{one.givenName}, #{one.birthFirst}, #{one.birthLast}, #{one.sex},
                #{one.status}, #{one.deceasedFirst}, #{one.deceasedLast}, #{one.provider}, #{one.site}, #{one.phone},
                #{one.mobile}, #{one.email}, #{one.address}, #{one.city}, #{one.postcode}, #{one.language},
                #{one.contactBy}, #{one.doNotContact}, #{one.custom}, #{saidBy}, #{cameAt})
            """)
    int insertPerson(
            @Param("one") PersonRow person, @Param("saidBy") @Nullable String saidBy, @Param("cameAt") Instant cameAt);

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

    /** As they were before deliveries changed them; the statement is among the {@link EventStatements}. */
    List<StoredEvent> eventsBefore(@Param("person") String person);

    /** @param cells of an {@link EventRow}; the statement is among the {@link EventStatements} */
    int insertEvent(Map<String, @Nullable Object> cells);

    /** @param cells of an {@link EventRow}; the statement is among the {@link EventStatements} */
    int updateEvent(Map<String, @Nullable Object> cells);
}
