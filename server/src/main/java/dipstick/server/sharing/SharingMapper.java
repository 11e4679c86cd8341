package dipstick.server.sharing;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SharingMapper {
    @Select("SELECT set_id, owner, everybody, revision FROM sharing WHERE set_id = #{set}")
    Optional<Shared> find(String set);

    @Select("SELECT set_id, owner, everybody, revision FROM sharing")
    List<Shared> all();

    @Select("SELECT set_id, kind, grantee, granted FROM share")
    List<Share> allShares();

    @Select("SELECT set_id FROM sharing WHERE owner = #{owner} ORDER BY set_id")
    List<String> ownedBy(String owner);

    @Insert("""
            INSERT INTO sharing (set_id, owner, everybody, revision)
            VALUES (#{setId}, #{owner}, #{everybody}, #{revision})
            """)
    int insert(Shared shared);

    /** Changes it if it is still at the revision before; else no row. */
    @Update("""
            UPDATE sharing SET owner = #{owner}, everybody = #{everybody}, revision = #{revision}
            WHERE set_id = #{setId} AND revision = #{revision} - 1
            """)
    int update(Shared shared);

    @Update("UPDATE sharing SET owner = #{to}, revision = revision + 1 WHERE owner = #{from}")
    int changeOwner(String from, String to);

    @Delete("DELETE FROM sharing WHERE set_id = #{set}")
    int delete(String set);

    @Select("SELECT set_id, kind, grantee, granted FROM share WHERE set_id = #{set} ORDER BY kind, grantee")
    List<Share> shares(String set);

    @Insert("INSERT INTO share (set_id, kind, grantee, granted) VALUES (#{setId}, #{kind}, #{grantee}, #{granted})")
    int insertShare(Share share);

    @Delete("DELETE FROM share WHERE set_id = #{set}")
    int deleteShares(String set);
}
