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
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.apache.ibatis.cursor.Cursor;
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

    /**
     * A row that was read, row by row by {@link PersonRecordReader}.
     *
     * @param custom its custom fields, as a JSON object
     */
    record StoredPerson(String id, Map<String, FieldValue> known, Optional<String> custom) {}

    /**
     * A row that was read, row by row by {@link EventRecordReader}.
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

    /** By id; the statement is among the {@link RecordsStatements}. */
    Cursor<StoredPerson> allPeople();

    @Select("SELECT count(*) FROM event")
    long countEvents();

    /** The statement is among the {@link RecordsStatements}. */
    Cursor<StoredEvent> allEvents();

    /** The statement is among the {@link RecordsStatements}. */
    List<StoredEvent> eventsOf(@Param("ids") String[] ids);

    /** @param ids each once; the statement is among the {@link RecordsStatements} */
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

    /** The statement is among the {@link RecordsStatements}. */
    List<StoredEvent> eventsByKey(@Param("keys") String[] keys);

    @Select("""
            SELECT record_key, fingerprint, person_id FROM event WHERE source = #{source}
                AND kind = ANY(#{kinds, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            """)
    List<KnownEvent> eventsOfSource(@Param("source") String source, @Param("kinds") String[] kinds);

    /** @param cells of {@link RowMapping}, what said it and when it came; the statement is among the {@link RecordsStatements} */
    int insertPerson(Map<String, @Nullable Object> cells);

    /** @param cells of {@link RowMapping}; the statement is among the {@link RecordsStatements} */
    int updatePerson(Map<String, @Nullable Object> cells);

    /** Somebody as before each delivery that changed them, the last first; the statement is among the {@link RecordsStatements}. */
    List<StoredPerson> peopleBefore(@Param("person") String person);

    /** Somebody as before one delivery, if that changed them; the statement is among the {@link RecordsStatements}. */
    List<StoredPerson> personBefore(@Param("delivery") long delivery, @Param("id") String id);

    /** As they were before deliveries changed them; the statement is among the {@link RecordsStatements}. */
    List<StoredEvent> eventsBefore(@Param("person") String person);

    /** @param cells of an {@link EventRow}; the statement is among the {@link RecordsStatements} */
    int insertEvent(Map<String, @Nullable Object> cells);

    /** @param cells of an {@link EventRow}; the statement is among the {@link RecordsStatements} */
    int updateEvent(Map<String, @Nullable Object> cells);
}
