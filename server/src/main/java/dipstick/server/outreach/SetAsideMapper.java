package dipstick.server.outreach;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SetAsideMapper {
    String COLUMNS = "id, act, set_id, person, reason, from_day, until_day, account, ended";

    @Insert("""
            INSERT INTO set_aside (act, set_id, person, reason, from_day, until_day, account, ended)
            VALUES (#{act}, #{setId}, #{person}, #{reason}, #{fromDay}, #{untilDay}, #{account}, #{ended})
            """)
    int insert(SetAside aside);

    @Update("UPDATE set_aside SET ended = TRUE WHERE id = #{id} AND NOT ended")
    int end(long id);

    @Update("UPDATE set_aside SET ended = FALSE WHERE id = #{id} AND ended")
    int resume(long id);

    @Select("SELECT " + COLUMNS + " FROM set_aside WHERE act = #{act}")
    List<SetAside> ofAct(long act);

    /** Those that nobody ended, of the people of a list; some may have run out. */
    @Select("SELECT " + COLUMNS + " FROM set_aside a WHERE NOT ended AND a.set_id IN ('', #{set})"
            + " AND EXISTS (SELECT 1 FROM list_entry e WHERE e.set_id = #{set} AND e.person = a.person) ORDER BY id")
    List<SetAside> ofSet(String set);

    @Select("SELECT " + COLUMNS + " FROM set_aside WHERE person = #{person} AND NOT ended ORDER BY id")
    List<SetAside> ofPerson(String person);
}
