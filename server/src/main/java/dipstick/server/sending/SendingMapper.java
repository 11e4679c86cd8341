package dipstick.server.sending;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SendingMapper {
    String COLUMNS = "id, set_id, what, every, day_of_week, day_of_month, at_time, only_new, account, revision";

    /**
     * How far somebody was sent something.
     *
     * @param dueAt the last time for which it was sent, or needed not be
     * @param triedAt when it was last tried
     * @param mark the last act on lists that they know of
     * @param problem why they were not sent it; empty where they were
     */
    record SentTo(String sending, String account, Instant dueAt, Instant triedAt, long mark, String problem) {}

    @Select("SELECT " + COLUMNS + " FROM sending ORDER BY set_id, id")
    List<Sending.Row> all();

    @Select("SELECT " + COLUMNS + " FROM sending WHERE id = #{id}")
    Optional<Sending.Row> find(String id);

    @Insert("""
            INSERT INTO sending (id, set_id, what, every, day_of_week, day_of_month, at_time, only_new, account, revision)
            VALUES (#{id}, #{setId}, #{what}, #{every}, #{dayOfWeek}, #{dayOfMonth}, #{atTime}, #{onlyNew}, #{account},
                #{revision})
            """)
    int insert(Sending.Row sending);

    @Update("""
            UPDATE sending SET what = #{what}, every = #{every}, day_of_week = #{dayOfWeek}, day_of_month = #{dayOfMonth},
                at_time = #{atTime}, only_new = #{onlyNew}, revision = #{revision}
            WHERE id = #{id} AND revision = #{revision} - 1
            """)
    int update(Sending.Row sending);

    @Delete("DELETE FROM sending WHERE id = #{id}")
    int delete(String id);

    @Select("SELECT sending, account, due_at, tried_at, mark, problem FROM sent_to WHERE sending = #{sending}"
            + " ORDER BY account")
    List<SentTo> sentTo(String sending);

    @Update("""
            MERGE INTO sent_to (sending, account, due_at, tried_at, mark, problem) KEY (sending, account)
            VALUES (#{sending}, #{account}, #{dueAt}, #{triedAt}, #{mark}, #{problem})
            """)
    int keep(SentTo one);

    @Delete("DELETE FROM sent_to WHERE sending = #{sending} AND account = #{account}")
    int leaveOut(String sending, String account);

    @Delete("DELETE FROM sent_to WHERE sending = #{sending}")
    int leaveAllOut(String sending);
}
