package dipstick.server.records;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What sources say otherwise than others, whose word stays. */
@Mapper
interface OtherwiseMapper {
    /** What is kept of it; what stays is on file. */
    record Kept(String person, String recordKey, String field, String source, String said) {}

    @Insert("""
            MERGE INTO said_otherwise (person, record_key, field, source, said, delivery)
            VALUES (#{one.person}, #{one.recordKey}, #{one.field}, #{one.source}, #{one.said}, #{delivery})
            """)
    int keep(@Param("one") Otherwise one, @Param("delivery") long delivery);

    /** What a source said of people before it speaks of these fields anew. */
    @Delete("""
            DELETE FROM said_otherwise WHERE source = #{source} AND record_key = ''
                AND person = ANY(#{people, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
                AND field = ANY(#{fields, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            """)
    int forgetOfPeople(
            @Param("source") String source, @Param("people") String[] people, @Param("fields") String[] fields);

    @Delete("""
            DELETE FROM said_otherwise WHERE source = #{source}
                AND record_key = ANY(#{keys, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            """)
    int forgetOfRecords(@Param("source") String source, @Param("keys") String[] keys);

    @Select(
            "SELECT person, record_key, field, source, said FROM said_otherwise ORDER BY field, source, person, record_key")
    List<Kept> all();

    @Select(
            "SELECT person, record_key, field, source, said FROM said_otherwise WHERE person = #{person} ORDER BY field, source")
    List<Kept> of(String person);

    @Delete("DELETE FROM said_otherwise WHERE delivery = #{delivery}")
    int takeBack(long delivery);

    @Delete("DELETE FROM said_otherwise WHERE person = #{person}")
    int forgetOf(String person);
}
