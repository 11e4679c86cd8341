package dipstick.server.rosters;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RosterMapper {
    String COLUMNS = "id, name, key_fields, named, until, copied_on, intake, version, changed_at, changed_by";

    @Select("SELECT " + COLUMNS + " FROM roster ORDER BY name, id")
    List<SharedRoster> all();

    @Select("SELECT " + COLUMNS + " FROM roster WHERE id = #{id}")
    Optional<SharedRoster> find(String id);

    @Insert("INSERT INTO roster (" + COLUMNS
            + ") VALUES (#{id}, #{name}, #{keyFields}, #{named}, #{until}, #{copiedOn},"
            + " #{intake}, #{version}, #{changedAt}, #{changedBy})")
    int insert(SharedRoster roster);

    /** Changes the roster if it is still at the version before; else no row. */
    @Update("""
            UPDATE roster SET name = #{name}, key_fields = #{keyFields}, named = #{named}, until = #{until},
                copied_on = #{copiedOn}, intake = #{intake}, version = #{version}, changed_at = #{changedAt},
                changed_by = #{changedBy}
            WHERE id = #{id} AND version = #{version} - 1
            """)
    int update(SharedRoster roster);

    /** Removes the roster if it is still at this version; else no row. */
    @Delete("DELETE FROM roster WHERE id = #{id} AND version = #{version}")
    int delete(String id, int version);
}
