package dipstick.server.sameperson;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface JoiningMapper {
    record Joined(long id, String person, String other, Instant joinedAt, String joinedBy) {}

    /** @param one the lower of the two numbers */
    record ToldApart(long id, String one, String other, Instant saidAt, String saidBy) {}

    /** @return its id */
    @Select(value = """
            SELECT id FROM FINAL TABLE (
                INSERT INTO joining (person, other, joined_at, joined_by) VALUES (#{person}, #{other}, #{at}, #{by}))
            """, affectData = true)
    long insert(
            @Param("person") String person,
            @Param("other") String other,
            @Param("at") Instant at,
            @Param("by") String by);

    /** Those that hold, the latest first. */
    @Select("SELECT id, person, other, joined_at, joined_by FROM joining WHERE undone_at IS NULL ORDER BY id DESC")
    List<Joined> all();

    @Select("SELECT id, person, other, joined_at, joined_by FROM joining WHERE id = #{id} AND undone_at IS NULL")
    Optional<Joined> find(long id);

    @Update("UPDATE joining SET undone_at = #{at}, undone_by = #{by} WHERE id = #{id} AND undone_at IS NULL")
    int undo(@Param("id") long id, @Param("at") Instant at, @Param("by") String by);

    /** The latest first. */
    @Select("SELECT id, one, other, said_at, said_by FROM told_apart ORDER BY id DESC")
    List<ToldApart> allApart();

    @Select("SELECT COUNT(*) > 0 FROM told_apart WHERE one = #{one} AND other = #{other}")
    boolean areApart(@Param("one") String one, @Param("other") String other);

    @Insert("INSERT INTO told_apart (one, other, said_at, said_by) VALUES (#{one}, #{other}, #{at}, #{by})")
    int tellApart(
            @Param("one") String one, @Param("other") String other, @Param("at") Instant at, @Param("by") String by);

    @Delete("DELETE FROM told_apart WHERE id = #{id}")
    int forgetApart(long id);

    /** Also those that were undone. */
    @Select("""
            SELECT id, person, other, joined_at, joined_by FROM joining
            WHERE person = #{number} OR other = #{number} ORDER BY id
            """)
    List<Joined> naming(String number);

    @Select(
            "SELECT id, one, other, said_at, said_by FROM told_apart WHERE one = #{number} OR other = #{number} ORDER BY id")
    List<ToldApart> apartFrom(String number);

    @Delete("DELETE FROM joined_row WHERE joining = #{id}")
    int forgetRows(long id);

    @Delete("DELETE FROM joining WHERE person = #{number} OR other = #{number}")
    int erase(String number);

    @Delete("DELETE FROM told_apart WHERE one = #{number} OR other = #{number}")
    int eraseApart(String number);
}
