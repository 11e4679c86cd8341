package dipstick.server.personal;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ErasureMapper {
    @Insert("""
            INSERT INTO erasure (stub, fingerprint, erased_at, erased_by, asked_by, why, kept_out)
            VALUES (#{stub}, #{fingerprint}, #{at}, #{by}, #{askedBy}, #{why}, TRUE)
            """)
    int insert(String stub, String fingerprint, Instant at, String by, String askedBy, String why);

    /** The latest first. */
    @Select(
            "SELECT id, stub, erased_at, erased_by, asked_by, why, kept_out FROM erasure ORDER BY id DESC LIMIT #{most}")
    List<Erasure> latest(int most);

    @Select("SELECT fingerprint FROM erasure WHERE kept_out")
    List<String> keptOut();

    /** It cannot be told any more who it was. */
    @Update("UPDATE erasure SET kept_out = FALSE, fingerprint = '' WHERE id = #{id} AND kept_out")
    int letIn(long id);
}
