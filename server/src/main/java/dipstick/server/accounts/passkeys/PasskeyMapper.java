package dipstick.server.accounts.passkeys;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface PasskeyMapper {
    String COLUMNS = "id, handle, label, public_key, attestation, client_data, signature_count, verified_somebody,"
            + " backup_eligible, backed_up, created_at, last_used_at";

    String OF_ACCOUNT = " AND handle IN (SELECT handle FROM passkey_handle WHERE account = #{account})";

    /** What is of bytes is in base 64 for addresses. */
    record Row(
            String id,
            String handle,
            String label,
            String publicKey,
            String attestation,
            String clientData,
            long signatureCount,
            boolean verifiedSomebody,
            boolean backupEligible,
            boolean backedUp,
            Instant createdAt,
            Instant lastUsedAt) {}

    record Handle(String account, String handle) {}

    @Select("SELECT account, handle FROM passkey_handle WHERE account = #{account}")
    Optional<Handle> handleOf(String account);

    @Select("SELECT account, handle FROM passkey_handle WHERE handle = #{handle}")
    Optional<Handle> byHandle(String handle);

    @Update("MERGE INTO passkey_handle (account, handle) VALUES (#{account}, #{handle})")
    int putHandle(Handle handle);

    @Delete("DELETE FROM passkey_handle WHERE handle = #{handle}")
    int deleteHandle(String handle);

    @Select("SELECT " + COLUMNS + " FROM passkey WHERE id = #{id}")
    Optional<Row> find(String id);

    @Select("SELECT " + COLUMNS + " FROM passkey WHERE handle = #{handle} ORDER BY created_at, id")
    List<Row> ofHandle(String handle);

    @Select("SELECT COUNT(*) FROM passkey JOIN passkey_handle USING (handle) WHERE account = #{account}")
    int count(String account);

    @Update("""
            MERGE INTO passkey (id, handle, label, public_key, attestation, client_data, signature_count,
                verified_somebody, backup_eligible, backed_up, created_at, last_used_at)
            VALUES (#{id}, #{handle}, #{label}, #{publicKey}, #{attestation}, #{clientData}, #{signatureCount},
                #{verifiedSomebody}, #{backupEligible}, #{backedUp}, #{createdAt}, #{lastUsedAt})
            """)
    int put(Row row);

    @Delete("DELETE FROM passkey WHERE id = #{id}")
    int delete(String id);

    @Delete("DELETE FROM passkey WHERE id = #{id}" + OF_ACCOUNT)
    int deleteOf(String account, String id);

    @Delete("DELETE FROM passkey WHERE TRUE" + OF_ACCOUNT)
    int deleteAllOf(String account);
}
