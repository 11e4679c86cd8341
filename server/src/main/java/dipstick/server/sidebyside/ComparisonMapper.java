package dipstick.server.sidebyside;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ComparisonMapper {
    String COLUMNS = "id, name, document, version, changed_at, changed_by";

    @Select("SELECT " + COLUMNS + " FROM comparison ORDER BY name, id")
    List<SavedComparison> all();

    @Select("SELECT " + COLUMNS + " FROM comparison WHERE id = #{id}")
    Optional<SavedComparison> find(String id);

    @Insert("INSERT INTO comparison (" + COLUMNS
            + ") VALUES (#{id}, #{name}, #{document}, #{version}, #{changedAt}, #{changedBy})")
    int insert(SavedComparison comparison);

    /** Changes it if it is still at the version before; else no row. */
    @Update("""
            UPDATE comparison SET name = #{name}, document = #{document}, version = #{version}, changed_at = #{changedAt},
                changed_by = #{changedBy}
            WHERE id = #{id} AND version = #{version} - 1
            """)
    int update(SavedComparison comparison);

    /** Removes it if it is still at this version; else no row. */
    @Delete("DELETE FROM comparison WHERE id = #{id} AND version = #{version}")
    int delete(String id, int version);
}
