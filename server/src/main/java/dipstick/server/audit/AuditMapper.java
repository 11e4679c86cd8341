package dipstick.server.audit;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface AuditMapper {
    @Insert("INSERT INTO audit_entry (at, account, act, subject) VALUES (#{at}, #{account}, #{act}, #{subject})")
    void insert(Instant at, String account, String act, String subject);

    record Entry(long id, Instant at, String account, String act, String subject) {}

    /**
     * The newest first, from before an entry on. What is empty is not asked for.
     *
     * @param words that the subject holds, in lower case
     */
    @Select("""
            SELECT id, at, account, act, subject FROM audit_entry
            WHERE id < #{before} AND (#{account} = '' OR account = #{account}) AND (#{act} = '' OR act = #{act})
                AND LOCATE(#{words}, LOWER(subject)) > 0 AND at >= #{from} AND at < #{until}
            ORDER BY id DESC LIMIT #{most}
            """)
    List<Entry> find(long before, String account, String act, String words, Instant from, Instant until, int most);
}
