package dipstick.server.records;

import dipstick.server.records.RecordsMapper.KnownEvent;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Records that came under a number that is joined to another. */
@Mapper
interface JoinedMapper {
    /** @param shared whether it came under the number of whoever goes on, too */
    record EventNamed(String recordKey, String number, boolean shared) {}

    /** Has other changes of these two wait until the transaction is over; those of them that are on file. */
    @Select("SELECT id FROM person WHERE id IN (#{one}, #{other}) ORDER BY id FOR UPDATE")
    List<String> lock(@Param("one") String one, @Param("other") String other);

    @Delete("DELETE FROM person_before WHERE delivery = #{delivery}")
    int forgetPeopleBefore(long delivery);

    @Select("SELECT record_key, fingerprint, person_id FROM event WHERE person_id = #{person}")
    List<KnownEvent> eventsOf(String person);

    @Update("""
            UPDATE event SET person_id = #{to.personId}, record_key = #{to.recordKey}, fingerprint = #{to.fingerprint}
            WHERE record_key = #{key}
            """)
    int give(@Param("key") String key, @Param("to") KnownEvent to);

    /** What deliveries did to a record, they did to it as it is called now. */
    @Update("""
            UPDATE delivery_record SET record_key = #{to.recordKey}, person = #{to.personId},
                made = CASE WHEN made = #{fingerprint} THEN #{to.fingerprint} ELSE made END
            WHERE of_events AND record_key = #{key}
            """)
    int renameInDeliveries(
            @Param("key") String key, @Param("fingerprint") String fingerprint, @Param("to") KnownEvent to);

    @Update("UPDATE event_named SET record_key = #{to} WHERE record_key = #{key}")
    int renameNamed(@Param("key") String key, @Param("to") String to);

    @Insert("""
            MERGE INTO event_named (record_key, number, shared) KEY (record_key, number)
            VALUES (#{recordKey}, #{number}, #{shared})
            """)
    int name(EventNamed named);

    @Select("SELECT record_key, number, shared FROM event_named WHERE number = #{number} ORDER BY record_key")
    List<EventNamed> namedBy(String number);

    @Select("SELECT record_key, number, shared FROM event_named WHERE record_key = #{key}")
    List<EventNamed> namesOf(String key);

    @Delete("DELETE FROM event_named WHERE number = #{number}")
    int forgetNamed(String number);

    @Insert(
            "MERGE INTO said_to_be_one (one, other, source) KEY (one, other, source) VALUES (#{one}, #{other}, #{source})")
    int saidToBeOne(@Param("one") String one, @Param("other") String other, @Param("source") String source);

    record SaidToBeOne(String one, String other, String source) {}

    @Select("SELECT one, other, source FROM said_to_be_one ORDER BY one, other, source")
    List<SaidToBeOne> allSaidToBeOne();

    @Delete("DELETE FROM said_to_be_one WHERE one = #{person} OR other = #{person}")
    int forgetSaid(String person);
}
