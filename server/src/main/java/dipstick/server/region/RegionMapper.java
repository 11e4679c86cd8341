package dipstick.server.region;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface RegionMapper {
    /** Of each list the last day's. */
    @Select("""
            SELECT set_id, as_of, asked, counts, brought_in_at, brought_in_by FROM region_answer a
            WHERE as_of = (SELECT MAX(as_of) FROM region_answer o WHERE o.set_id = a.set_id)
            """)
    List<RegionAnswer.Row> latest();

    /** In the place of the one of the same day. */
    @Insert("""
            MERGE INTO region_answer (set_id, as_of, asked, counts, brought_in_at, brought_in_by)
            KEY (set_id, as_of)
            VALUES (#{setId}, #{asOf}, #{asked}, #{counts}, #{broughtInAt}, #{broughtInBy})
            """)
    void keep(RegionAnswer.Row answer);

    /** @return how many there were */
    @Delete("DELETE FROM region_answer WHERE set_id = #{set} AND as_of = #{asOf}")
    int remove(String set, LocalDate asOf);
}
