package dipstick.server.exchange;

import dipstick.server.paper.Letterhead;
import dipstick.server.personal.FollowsPerson;
import java.time.LocalDate;
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

    @Select("SELECT practice, address, phone, email, signed_by, signature FROM letterhead")
    Letterhead letterhead();

    @Select("SELECT revision FROM letterhead")
    int letterheadRevision();

    /** Changes it if it is still at this revision; else no row. */
    @Update("""
            UPDATE letterhead SET practice = #{head.practice}, address = #{head.address}, phone = #{head.phone},
                email = #{head.email}, signed_by = #{head.signedBy}, signature = #{head.signature},
                revision = revision + 1
            WHERE revision = #{seen}
            """)
    int updateLetterhead(Letterhead head, int seen);

    @Insert("""
            INSERT INTO written_to (set_id, person, what, template, on_day, account)
            VALUES (#{setId}, #{person}, #{what}, #{template}, #{onDay}, #{account})
            """)
    int insertWritten(WrittenTo.Row row);

    /** The last one last. */
    @Select("""
            SELECT set_id, person, what, template, on_day, account FROM written_to
            WHERE set_id = #{set} AND what = #{what} AND template = #{template} AND on_day > #{after} ORDER BY id
            """)
    List<WrittenTo.Row> writtenSince(String set, String what, String template, LocalDate after);

    @Select("""
            SELECT set_id, person, what, template, on_day, account FROM written_to WHERE person = #{person} ORDER BY id
            """)
    List<WrittenTo.Row> writtenTo(String person);

    @Insert("INSERT INTO joined_row SELECT #{id}, 'WRITTEN', id FROM written_to WHERE person = #{other}")
    int noteWritten(FollowsPerson.Joining joining);

    @Update("UPDATE written_to SET person = #{person} WHERE person = #{other}")
    int giveWritten(FollowsPerson.Joining joining);

    @Update("""
            UPDATE written_to SET person = #{other} WHERE person = #{person}
                AND id IN (SELECT row_id FROM joined_row WHERE joining = #{id} AND part = 'WRITTEN')
            """)
    int giveWrittenBack(FollowsPerson.Joining joining);

    @Update("UPDATE written_to SET person = #{stub} WHERE person = #{person}")
    int stubWritten(String person, String stub);

    @Update("MERGE INTO calendar_feed (account, fingerprint) KEY (account) VALUES (#{account}, #{fingerprint})")
    int keepFeed(String account, String fingerprint);

    @Delete("DELETE FROM calendar_feed WHERE account = #{account}")
    int revokeFeed(String account);

    @Select("SELECT account FROM calendar_feed WHERE fingerprint = #{fingerprint}")
    Optional<String> accountOfFeed(String fingerprint);

    @Select("SELECT COUNT(*) > 0 FROM calendar_feed WHERE account = #{account}")
    boolean hasFeed(String account);
}
