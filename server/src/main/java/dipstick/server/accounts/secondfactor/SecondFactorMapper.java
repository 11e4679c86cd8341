package dipstick.server.accounts.secondfactor;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface SecondFactorMapper {
    /** @param lastCounter of the last code that was used, see RFC 6238, section 4.2 */
    record Row(String secret, long lastCounter, Instant since) {}

    @Select("SELECT secret, last_counter, since FROM second_factor WHERE account = #{account}")
    Optional<Row> find(String account);

    @Update("""
            MERGE INTO second_factor (account, secret, last_counter, since)
            VALUES (#{account}, #{row.secret}, #{row.lastCounter}, #{row.since})
            """)
    int put(String account, Row row);

    /** No row where this code, or a later one, was used before. */
    @Update(
            "UPDATE second_factor SET last_counter = #{counter} WHERE account = #{account} AND last_counter < #{counter}")
    int use(String account, long counter);

    @Delete("DELETE FROM second_factor WHERE account = #{account}")
    int delete(String account);

    @Insert("INSERT INTO recovery_code (account, fingerprint) VALUES (#{account}, #{fingerprint})")
    int insertRecoveryCode(String account, String fingerprint);

    /** No row where it is none, or was used before. */
    @Delete("DELETE FROM recovery_code WHERE account = #{account} AND fingerprint = #{fingerprint}")
    int useRecoveryCode(String account, String fingerprint);

    @Delete("DELETE FROM recovery_code WHERE account = #{account}")
    int deleteRecoveryCodes(String account);

    @Select("SELECT COUNT(*) FROM recovery_code WHERE account = #{account}")
    int recoveryCodes(String account);
}
