package dipstick.server.hooks;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface HookMapper {
    String SYSTEM = "id, name, issuer, keys, number_system, source, revision";
    String CARD = "uuid, record_system, hook, person, set_id, at, outcome, reason";

    /**
     * A card that was told.
     *
     * @param outcome what came of it; empty where nobody said
     */
    record ToldCard(
            String uuid,
            String recordSystem,
            String hook,
            String person,
            String setId,
            Instant at,
            String outcome,
            String reason) {}

    @Select("SELECT " + SYSTEM + " FROM record_system ORDER BY name, id")
    List<RecordSystem> systems();

    @Select("SELECT " + SYSTEM + " FROM record_system WHERE id = #{id}")
    Optional<RecordSystem> system(String id);

    @Select("SELECT " + SYSTEM + " FROM record_system WHERE issuer = #{issuer}")
    Optional<RecordSystem> issuing(String issuer);

    @Insert("""
            INSERT INTO record_system (id, name, issuer, keys, number_system, source, revision)
            VALUES (#{id}, #{name}, #{issuer}, #{keys}, #{numberSystem}, #{source}, #{revision})
            """)
    int insertSystem(RecordSystem system);

    @Update("""
            UPDATE record_system SET name = #{name}, issuer = #{issuer}, keys = #{keys}, number_system = #{numberSystem},
                source = #{source}, revision = #{revision}
            WHERE id = #{id} AND revision = #{revision} - 1
            """)
    int updateSystem(RecordSystem system);

    @Delete("DELETE FROM record_system WHERE id = #{id}")
    int deleteSystem(String id);

    @Insert("""
            INSERT INTO told_card (uuid, record_system, hook, person, set_id, at, outcome, reason)
            VALUES (#{uuid}, #{recordSystem}, #{hook}, #{person}, #{setId}, #{at}, #{outcome}, #{reason})
            """)
    int insertCard(ToldCard card);

    @Select("SELECT " + CARD + " FROM told_card WHERE uuid = #{uuid} AND record_system = #{system}")
    Optional<ToldCard> card(String uuid, String system);

    @Select("SELECT " + CARD + " FROM told_card WHERE person = #{person} ORDER BY at, uuid")
    List<ToldCard> cardsOf(String person);

    @Update("UPDATE told_card SET outcome = #{outcome}, reason = #{reason} WHERE uuid = #{uuid}")
    int answer(String uuid, String outcome, String reason);

    @Delete("DELETE FROM told_card WHERE at < #{before} AND outcome = ''")
    int forgetUnanswered(Instant before);

    @Delete("DELETE FROM told_card WHERE person = #{person}")
    int forget(String person);
}
