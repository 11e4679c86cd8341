package dipstick.server.criteria;

import dipstick.core.typed.Vocabulary;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CriteriaMapper {
    String COLUMNS = "id, name, document, version, draft, revision, retired, changed_at, changed_by";
    String VERSION_COLUMNS = "id, name, document, version, note, changed_at, changed_by";

    @Select("SELECT " + COLUMNS + " FROM criteria_set ORDER BY name, id")
    List<SavedSet> all();

    /** The ids and names alone, without the documents. */
    @Select("SELECT id, name FROM criteria_set ORDER BY name, id")
    List<Vocabulary.Named> names();

    @Select("SELECT " + COLUMNS + " FROM criteria_set WHERE id = #{id}")
    Optional<SavedSet> find(String id);

    /** Has other changes of sets wait until the transaction is over. */
    @Select("SELECT id FROM criteria_set ORDER BY id FOR UPDATE")
    List<String> lock();

    @Insert("""
            INSERT INTO criteria_set (id, name, document, version, draft, revision, retired, changed_at, changed_by)
            VALUES (#{id}, #{name}, #{document}, #{version}, #{draft}, #{revision}, #{retired}, #{changedAt}, #{changedBy})
            """)
    int insert(SavedSet set);

    /** Changes the set if it is still at the revision before; else no row. */
    @Update("""
            UPDATE criteria_set SET name = #{name}, document = #{document}, version = #{version}, draft = #{draft},
                revision = #{revision}, retired = #{retired}, changed_at = #{changedAt}, changed_by = #{changedBy}
            WHERE id = #{id} AND revision = #{revision} - 1
            """)
    int update(SavedSet set);

    @Insert("""
            INSERT INTO criteria_version (id, name, document, version, note, changed_at, changed_by)
            VALUES (#{id}, #{name}, #{document}, #{version}, #{note}, #{changedAt}, #{changedBy})
            """)
    int insertVersion(PublishedVersion version);

    @Select("SELECT " + VERSION_COLUMNS + " FROM criteria_version ORDER BY id, version")
    List<PublishedVersion> allVersions();

    /** Of what was published nothing is ever changed but what names somebody who is erased. */
    @Update("UPDATE criteria_version SET document = #{document} WHERE id = #{id} AND version = #{version}")
    int updateVersion(String id, int version, String document);

    @Select("SELECT " + VERSION_COLUMNS + " FROM criteria_version WHERE id = #{id} ORDER BY version")
    List<PublishedVersion> versions(String id);

    @Select("SELECT " + VERSION_COLUMNS + " FROM criteria_version WHERE id = #{id} AND version = #{version}")
    Optional<PublishedVersion> version(String id, int version);

    @Delete("DELETE FROM criteria_set WHERE id = #{id} AND revision = #{revision} AND version = 0")
    int delete(String id, int revision);
}
