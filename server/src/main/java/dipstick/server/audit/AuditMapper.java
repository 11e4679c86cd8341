package dipstick.server.audit;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AuditMapper {
    @Insert("""
            INSERT INTO audit_entry (at, account, act, subject, address, session)
            VALUES (#{at}, #{account}, #{act}, #{subject}, #{from.address}, #{from.session})
            """)
    void insert(Instant at, String account, String act, String subject, AskedFrom from);

    record Entry(long id, Instant at, String account, String act, String subject, String address, String session) {}

    /**
     * The newest first, from before an entry on. What is empty is not asked for.
     *
     * @param acts of which it is one
     * @param words that the subject holds, in lower case
     * @param longest of a subject no more than so many characters are given
     */
    @Select("""
            <script>
            SELECT id, at, account, act, LEFT(subject, #{longest}) AS subject, address, session FROM audit_entry
            WHERE id &lt; #{before} AND (#{account} = '' OR account = #{account}) AND (#{act} = '' OR act = #{act})
                AND act IN <foreach collection="acts" item="one" open="(" separator="," close=")">#{one}</foreach>
                AND LOCATE(#{words}, LOWER(subject)) > 0 AND at >= #{from} AND at &lt; #{until}
            ORDER BY id DESC LIMIT #{most}
            </script>
            """)
    List<Entry> find(
            long before,
            String account,
            String act,
            Collection<String> acts,
            String words,
            Instant from,
            Instant until,
            int longest,
            int most);

    @Select("""
            SELECT id, at, account, act, subject, address, session FROM audit_entry
            WHERE LOCATE(#{words}, subject) > 0 ORDER BY id
            """)
    List<Entry> naming(String words);

    /**
     * An entry in the chain; at place 0 and without a hash where it is in none yet.
     *
     * @param written the time as it is stored, whatever the zone in which it is read
     */
    record Link(
            long id,
            Instant at,
            String written,
            String account,
            String act,
            String subject,
            String address,
            String session,
            long place,
            String hash) {}

    String LINK =
            "SELECT id, at, CAST(at AS VARCHAR) AS written, account, act, subject, address, session, COALESCE(place, 0) AS place, hash FROM audit_entry ";

    @Select(LINK + "WHERE place IS NULL ORDER BY id LIMIT #{most}")
    List<Link> unchained(int most);

    @Select(LINK + "WHERE place IS NOT NULL ORDER BY place DESC LIMIT 1")
    Optional<Link> last();

    @Select(LINK + "WHERE place > #{after} ORDER BY place LIMIT #{most}")
    List<Link> chained(long after, int most);

    @Update("UPDATE audit_entry SET place = #{place}, hash = #{hash} WHERE id = #{id} AND place IS NULL")
    int chain(long id, long place, String hash);

    @Delete("DELETE FROM audit_entry WHERE at < #{before} AND place < #{last}")
    int forget(Instant before, long last);
}
