package dipstick.server.records;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Further numbers of people, by which a source knows them. */
@Mapper
interface FurtherNumberMapper {
    /**
     * @param source empty where every source may mean this person by it
     * @param delivery that said it; below zero where a person joined them, the joining with a minus
     */
    record FurtherNumber(String number, String source, String person, long delivery) {}

    /** Those that a source may mean; its own stand behind the ones of all. */
    @Select("""
            SELECT number, source, person, delivery FROM person_number
            WHERE source IN ('', #{source}) ORDER BY source, number
            """)
    List<FurtherNumber> meantBy(String source);

    /** The same of one number. */
    @Select("""
            SELECT number, source, person, delivery FROM person_number
            WHERE number = #{number} AND source IN ('', #{source}) ORDER BY source DESC FETCH FIRST ROW ONLY
            """)
    Optional<FurtherNumber> meant(String number, String source);

    @Select(
            "SELECT number, source, person, delivery FROM person_number WHERE person = #{person} ORDER BY number, source")
    List<FurtherNumber> of(String person);

    /** Those of people whom somebody joined to another. */
    @Select("SELECT number, source, person, delivery FROM person_number WHERE delivery < 0 ORDER BY number")
    List<FurtherNumber> joined();

    @Insert("""
            MERGE INTO person_number (number, source, person, delivery) KEY (number, source)
            VALUES (#{number}, #{source}, #{person}, #{delivery})
            """)
    int keep(FurtherNumber number);

    @Delete("DELETE FROM person_number WHERE delivery = #{delivery}")
    int takeBack(long delivery);

    @Delete("DELETE FROM person_number WHERE person = #{person} OR number = #{person}")
    int erase(String person);
}
