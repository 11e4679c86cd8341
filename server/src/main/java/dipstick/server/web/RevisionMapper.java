package dipstick.server.web;

import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RevisionMapper {
    @Select("SELECT number FROM revision WHERE thing = #{thing}")
    Optional<Integer> of(String thing);

    @Insert("INSERT INTO revision (thing, number) VALUES (#{thing}, 1)")
    int insert(String thing);

    @Update("UPDATE revision SET number = number + 1 WHERE thing = #{thing} AND number = #{seen}")
    int next(String thing, int seen);
}
