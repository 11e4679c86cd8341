package dipstick.server.exchange;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ExchangeMapper {
    String TEMPLATE = "name, language, subject, body, revision";

    @Select("SELECT " + TEMPLATE + " FROM letter_template ORDER BY name, language")
    List<LetterTemplate> templates();

    @Select("SELECT " + TEMPLATE + " FROM letter_template WHERE name = #{name} ORDER BY language")
    List<LetterTemplate> named(String name);

    @Insert("""
            INSERT INTO letter_template (name, language, subject, body, revision)
            VALUES (#{name}, #{language}, #{subject}, #{body}, #{revision})
            """)
    int insert(LetterTemplate template);

    /** Changes it if it is still at the revision before; else no row. */
    @Update("""
            UPDATE letter_template SET subject = #{subject}, body = #{body}, revision = #{revision}
            WHERE name = #{name} AND language = #{language} AND revision = #{revision} - 1
            """)
    int update(LetterTemplate template);

    /** Removes it if it is still at this revision; else no row. */
    @Delete("DELETE FROM letter_template WHERE name = #{name} AND language = #{language} AND revision = #{revision}")
    int delete(String name, String language, int revision);

    @Update("MERGE INTO calendar_feed (account, fingerprint) KEY (account) VALUES (#{account}, #{fingerprint})")
    int keepFeed(String account, String fingerprint);

    @Delete("DELETE FROM calendar_feed WHERE account = #{account}")
    int revokeFeed(String account);

    @Select("SELECT account FROM calendar_feed WHERE fingerprint = #{fingerprint}")
    Optional<String> accountOfFeed(String fingerprint);

    @Select("SELECT COUNT(*) > 0 FROM calendar_feed WHERE account = #{account}")
    boolean hasFeed(String account);
}
