package dipstick.server.audit;

import java.time.Instant;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;

@Mapper
interface AuditMapper {
    @Insert("INSERT INTO audit_entry (at, account, act, subject) VALUES (#{at}, #{account}, #{act}, #{subject})")
    void insert(Instant at, String account, String act, String subject);
}
