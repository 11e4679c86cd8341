package dipstick.server.readings;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ReadingMapper {
    String COLUMNS = "id, set_id, version, as_of, taken_at, taken_by, occasion, records_at, records_stamp, dials,"
            + " eligible, has, on_list, to_check, joined, gone";

    /** The newest first. */
    @Select("SELECT " + COLUMNS + " FROM reading WHERE set_id = #{set} ORDER BY id DESC")
    List<TakenReading> ofSet(String set);

    @Select("SELECT " + COLUMNS + " FROM reading WHERE set_id = #{set} ORDER BY id DESC LIMIT 1")
    Optional<TakenReading> latest(String set);

    @Select("SELECT " + COLUMNS + " FROM reading WHERE set_id = #{set} AND id = #{id}")
    Optional<TakenReading> find(String set, long id);

    @Select("SELECT person, state, due_on, band, why FROM reading_member WHERE reading = #{id} ORDER BY person")
    List<ReadMember> members(long id);

    @Select("SELECT person, was, now_is, cause, words FROM reading_change WHERE reading = #{id} ORDER BY person")
    List<ReadChange> changes(long id);

    /** What changed at readings after one, up to another, the last first. */
    @Select("""
            SELECT c.person, c.was, c.now_is, c.cause, c.words
            FROM reading_change c JOIN reading r ON r.id = c.reading
            WHERE r.set_id = #{set} AND r.id > #{after} AND r.id <= #{through} ORDER BY r.id DESC
            """)
    List<ReadChange> changesBetween(String set, long after, long through);

    /** @return its id */
    @Select(value = """
            SELECT id FROM FINAL TABLE (
                INSERT INTO reading (set_id, version, as_of, taken_at, taken_by, occasion, records_at, records_stamp,
                    dials, eligible, has, on_list, to_check, joined, gone)
                VALUES (#{setId}, #{version}, #{asOf}, #{takenAt}, #{takenBy}, #{occasion}, #{recordsAt},
                    #{recordsStamp}, #{dials}, #{eligible}, #{has}, #{onList}, #{toCheck}, #{joined}, #{gone}))
            """, affectData = true)
    long insert(TakenReading reading);

    @Insert("""
            INSERT INTO reading_member (reading, person, state, due_on, band, why)
            VALUES (#{reading}, #{member.person}, #{member.state}, #{member.dueOn}, #{member.band}, #{member.why})
            """)
    int insertMember(long reading, ReadMember member);

    @Insert("""
            INSERT INTO reading_change (reading, person, was, now_is, cause, words)
            VALUES (#{reading}, #{change.person}, #{change.was}, #{change.nowIs}, #{change.cause}, #{change.words})
            """)
    int insertChange(long reading, ReadChange change);
}
