package dipstick.server.records;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** What deliveries did to records, so that it can be undone. */
@Mapper
interface DeliveryMapper {
    /** @param made a fingerprint of what the record was made, so that it is known whether it was changed since */
    record Did(long delivery, boolean ofEvents, String recordKey, String person, String did, String made) {}

    /** @param takenBackAt null where it was not */
    record Standing(long id, String fileName, @Nullable Instant takenBackAt) {}

    @Select("SELECT id, file_name, taken_back_at FROM import_log WHERE id = #{id}")
    Optional<Standing> standing(long id);

    @Update(
            "UPDATE import_log SET taken_back_at = #{at}, taken_back_by = #{by} WHERE id = #{id} AND taken_back_at IS NULL")
    int tookBack(@Param("id") long id, @Param("at") Instant at, @Param("by") String by);

    @Insert("""
            INSERT INTO delivery_record (delivery, of_events, record_key, person, did, made)
            VALUES (#{delivery}, #{ofEvents}, #{recordKey}, #{person}, #{did}, #{made})
            """)
    int insert(Did did);

    /** In the order in which they are undone. */
    @Select("""
            SELECT delivery, of_events, record_key, person, did, made FROM delivery_record
            WHERE delivery = #{delivery} ORDER BY of_events DESC, record_key
            """)
    List<Did> of(long delivery);

    @Insert("INSERT INTO person_before SELECT #{delivery}, p.* FROM person p WHERE p.id = #{id}")
    int keepPerson(@Param("delivery") long delivery, @Param("id") String id);

    @Insert("INSERT INTO event_before SELECT #{delivery}, e.* FROM event e WHERE e.record_key = #{key}")
    int keepEvent(@Param("delivery") long delivery, @Param("key") String key);

    @Update("""
            MERGE INTO person KEY (id)
            SELECT * EXCEPT (delivery) FROM person_before WHERE delivery = #{delivery} AND id = #{id}
            """)
    int restorePerson(@Param("delivery") long delivery, @Param("id") String id);

    @Update("""
            MERGE INTO event KEY (record_key)
            SELECT * EXCEPT (delivery) FROM event_before WHERE delivery = #{delivery} AND record_key = #{key}
            """)
    int restoreEvent(@Param("delivery") long delivery, @Param("key") String key);

    @Select("SELECT fingerprint FROM event WHERE record_key = #{key}")
    Optional<String> fingerprintOfEvent(String key);

    @Delete("DELETE FROM event WHERE record_key = #{key}")
    int deleteEvent(String key);

    @Delete("""
            DELETE FROM delivery_record WHERE delivery NOT IN (SELECT id FROM import_log)
            """)
    int forgetWithoutDelivery();

    /** What was before a joining stays as long as that can be undone. */
    @Delete("DELETE FROM person_before WHERE delivery > 0 AND delivery NOT IN (SELECT id FROM import_log)")
    int forgetPeopleWithoutDelivery();

    @Delete("DELETE FROM event_before WHERE delivery NOT IN (SELECT id FROM import_log)")
    int forgetEventsWithoutDelivery();

    @Delete("DELETE FROM delivery_record WHERE person = #{person}")
    int eraseWhatWasDone(String person);

    @Delete("DELETE FROM person_before WHERE id = #{person}")
    int erasePerson(String person);

    @Delete("DELETE FROM event_before WHERE person_id = #{person}")
    int eraseEvents(String person);
}
