package dipstick.server.accounts;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface AccountMapper {
    @Select("SELECT name, display_name, role, password_hash FROM account WHERE name = #{name}")
    Optional<Account> find(String name);

    @Select("SELECT COUNT(*) FROM account")
    int count();

    @Insert("""
            INSERT INTO account (name, display_name, role, password_hash, created_at)
            VALUES (#{account.name}, #{account.displayName}, #{account.role}, #{account.passwordHash}, #{at})
            """)
    int insert(Account account, Instant at);
}
