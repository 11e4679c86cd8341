package dipstick.server.termsets;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface TermSetMapper {
    String COLUMNS = "id, name, members, left_out, version, changed_at, changed_by";
    String VALUES = "VALUES (#{id}, #{name}, #{members}, #{leftOut}, #{version}, #{changedAt}, #{changedBy})";

    @Select("SELECT " + COLUMNS + " FROM term_set ORDER BY name, id")
    List<SharedTermSet> all();

    @Select("SELECT " + COLUMNS + " FROM term_set WHERE id = #{id}")
    Optional<SharedTermSet> find(String id);

    @Insert("INSERT INTO term_set (" + COLUMNS + ") " + VALUES)
    int insert(SharedTermSet set);

    /** Changes the term set if it is still at the version before; else no row. */
    @Update("""
            UPDATE term_set SET name = #{name}, members = #{members}, left_out = #{leftOut}, version = #{version},
                changed_at = #{changedAt}, changed_by = #{changedBy}
            WHERE id = #{id} AND version = #{version} - 1
            """)
    int update(SharedTermSet set);

    @Insert("INSERT INTO term_set_version (" + COLUMNS + ") " + VALUES)
    int insertVersion(SharedTermSet set);

    @Select("SELECT " + COLUMNS + " FROM term_set_version WHERE id = #{id} ORDER BY version DESC")
    List<SharedTermSet> versions(String id);

    /** Removes the term set if it is still at this version; else no row. */
    @Delete("DELETE FROM term_set WHERE id = #{id} AND version = #{version}")
    int delete(String id, int version);

    @Delete("DELETE FROM term_set_version WHERE id = #{id}")
    int deleteVersions(String id);
}
