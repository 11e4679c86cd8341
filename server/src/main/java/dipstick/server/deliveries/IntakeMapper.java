package dipstick.server.deliveries;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface IntakeMapper {
    @Select("""
            SELECT id, version, name, document, retired, changed_at, changed_by FROM intake i
            WHERE NOT retired AND version = (SELECT MAX(version) FROM intake o WHERE o.id = i.id) ORDER BY name, id
            """)
    List<SavedIntake> inForce();

    @Select("""
            SELECT id, version, name, document, retired, changed_at, changed_by FROM intake
            WHERE id = #{id} ORDER BY version DESC
            """)
    List<SavedIntake> versions(String id);

    @Select("SELECT MAX(version) FROM intake WHERE id = #{id}")
    Optional<Integer> latest(String id);

    @Insert("""
            INSERT INTO intake (id, version, name, document, retired, changed_at, changed_by)
            VALUES (#{id}, #{version}, #{name}, #{document}, #{retired}, #{changedAt}, #{changedBy})
            """)
    int insert(SavedIntake intake);
}
