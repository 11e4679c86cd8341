package dipstick.server.tokens;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface TokenMapper {
    String COLUMNS = "id, account, label, scopes, created_at, expires_at, last_used_at, last_address";

    /**
     * @param scopes separated by commas
     * @param lastAddress from where it was used last; empty where it never was
     */
    record Row(
            String id,
            String account,
            String label,
            String scopes,
            Instant createdAt,
            Instant expiresAt,
            Instant lastUsedAt,
            String lastAddress) {}

    @Insert("""
            INSERT INTO program_token (id, account, label, scopes, fingerprint, created_at, expires_at,
                last_used_at)
            VALUES (#{row.id}, #{row.account}, #{row.label}, #{row.scopes}, #{fingerprint}, #{row.createdAt},
                #{row.expiresAt}, #{row.lastUsedAt})
            """)
    int insert(Row row, String fingerprint);

    @Select("SELECT " + COLUMNS + " FROM program_token WHERE account = #{account} ORDER BY created_at, id")
    List<Row> of(String account);

    @Select("SELECT " + COLUMNS + " FROM program_token WHERE fingerprint = #{fingerprint}")
    Optional<Row> find(String fingerprint);

    @Update("UPDATE program_token SET last_used_at = #{at}, last_address = #{address} WHERE id = #{id}")
    int used(String id, Instant at, String address);

    @Delete("DELETE FROM program_token WHERE account = #{account} AND id = #{id}")
    int delete(String account, String id);

    @Delete("DELETE FROM program_token WHERE account = #{account}")
    int deleteOf(String account);
}
