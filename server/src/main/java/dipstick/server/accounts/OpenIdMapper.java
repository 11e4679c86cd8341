package dipstick.server.accounts;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Who somebody at the practice's sign-in service is here. */
@Mapper
interface OpenIdMapper {
    @Select("SELECT account FROM openid_account WHERE issuer = #{issuer} AND subject = #{subject}")
    Optional<String> account(String issuer, String subject);

    @Insert("""
            INSERT INTO openid_account (issuer, subject, account, created_at)
            VALUES (#{issuer}, #{subject}, #{account}, #{at})
            """)
    int insert(String issuer, String subject, String account, Instant at);

    @Select("SELECT COUNT(*) > 0 FROM openid_account WHERE account = #{account}")
    boolean has(String account);
}
