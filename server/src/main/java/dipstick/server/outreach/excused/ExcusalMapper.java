package dipstick.server.outreach.excused;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
public interface ExcusalMapper {
    String COLUMNS = "id, act, set_id, person, reason, from_day, until_day, account, ended";

    @Insert("""
            INSERT INTO excusal (act, set_id, person, reason, from_day, until_day, account, ended)
            VALUES (#{act}, #{setId}, #{person}, #{reason}, #{fromDay}, #{untilDay}, #{account}, #{ended})
            """)
    int insert(Excusal excusal);

    @Update("UPDATE excusal SET ended = TRUE WHERE id = #{id} AND NOT ended")
    int end(long id);

    @Update("UPDATE excusal SET ended = FALSE WHERE id = #{id} AND ended")
    int resume(long id);

    @Select("SELECT " + COLUMNS + " FROM excusal WHERE act = #{act}")
    List<Excusal> ofAct(long act);

    /** Those that nobody ended, of the people of a list; some may have run out. */
    @Select("SELECT " + COLUMNS + " FROM excusal a WHERE NOT ended AND a.set_id IN ('', #{set})"
            + " AND EXISTS (SELECT 1 FROM list_entry e WHERE e.set_id = #{set} AND e.person = a.person) ORDER BY id")
    List<Excusal> ofSet(String set);

    @Select("SELECT " + COLUMNS + " FROM excusal WHERE person = #{person} AND NOT ended ORDER BY id")
    List<Excusal> ofPerson(String person);
}
