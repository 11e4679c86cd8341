package dipstick.server.readings;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ReadingPlanMapper {
    @Select("""
            SELECT set_id, every, day_of_week, day_of_month, at_time, dials, revision FROM reading_plan
            WHERE set_id = #{set}
            """)
    Optional<ReadingPlan.Row> find(String set);

    @Insert("""
            INSERT INTO reading_plan (set_id, every, day_of_week, day_of_month, at_time, dials, revision)
            VALUES (#{setId}, #{every}, #{dayOfWeek}, #{dayOfMonth}, #{atTime}, #{dials}, #{revision})
            """)
    int insert(ReadingPlan.Row plan);

    /** Changes it if it is still at the revision before; else no row. */
    @Update("""
            UPDATE reading_plan SET every = #{every}, day_of_week = #{dayOfWeek}, day_of_month = #{dayOfMonth},
                at_time = #{atTime}, dials = #{dials}, revision = #{revision}
            WHERE set_id = #{setId} AND revision = #{revision} - 1
            """)
    int update(ReadingPlan.Row plan);
}
