package dipstick.server.accounts;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AccountMapper {
    String COLUMNS = "name, display_name, roles, provider, own_people_only, given_lists_only, closed, password_hash,"
            + " revision";

    /** Somebody in a group. */
    record Member(String groupName, String account) {}

    /** What is asked of a role. */
    record OfRole(Role role, Demanded demanded) {}

    @Select("SELECT " + COLUMNS + " FROM account WHERE name = #{name}")
    Optional<Account> find(String name);

    @Select("SELECT " + COLUMNS + " FROM account ORDER BY display_name, name")
    List<Account> all();

    /** Has other changes of accounts wait until the transaction is over. */
    @Select("SELECT name FROM account ORDER BY name FOR UPDATE")
    List<String> lock();

    @Select("SELECT COUNT(*) FROM account")
    int count();

    @Insert("""
            INSERT INTO account (name, display_name, roles, provider, own_people_only, given_lists_only, closed,
                password_hash, created_at)
            VALUES (#{account.name}, #{account.displayName}, #{account.roles}, #{account.provider},
                #{account.ownPeopleOnly}, #{account.givenListsOnly}, #{account.closed}, #{account.passwordHash}, #{at})
            """)
    int insert(Account account, Instant at);

    /** Changes it if it is still at this revision; else no row. */
    @Update("""
            UPDATE account SET display_name = #{displayName}, roles = #{roles}, provider = #{provider},
                own_people_only = #{ownPeopleOnly}, given_lists_only = #{givenListsOnly}, closed = #{closed},
                password_hash = #{passwordHash}, revision = revision + 1
            WHERE name = #{name} AND revision = #{revision}
            """)
    int update(Account account);

    @Update("UPDATE account SET password_hash = #{hash}, revision = revision + 1 WHERE name = #{name}")
    int updatePassword(String name, String hash);

    @Select("SELECT email FROM account WHERE name = #{name}")
    Optional<String> email(String name);

    @Update("UPDATE account SET email = #{email} WHERE name = #{name}")
    int updateEmail(String name, String email);

    @Update("MERGE INTO signed_in_from (account, address, last_at) VALUES (#{account}, #{address}, #{at})")
    int signedInFrom(String account, String address, Instant at);

    @Select("SELECT COUNT(*) > 0 FROM signed_in_from WHERE account = #{account} AND address = #{address}")
    boolean hasSignedInFrom(String account, String address);

    @Select("SELECT role, demanded FROM second_factor_role")
    List<OfRole> secondFactorRoles();

    @Delete("DELETE FROM second_factor_role")
    int deleteSecondFactorRoles();

    @Insert("INSERT INTO second_factor_role (role, demanded) VALUES (#{role}, #{demanded})")
    int insertSecondFactorRole(OfRole one);

    @Select("SELECT group_name, account FROM group_member ORDER BY group_name, account")
    List<Member> groupMembers();

    @Select("SELECT group_name FROM group_member WHERE account = #{account}")
    List<String> groupsOf(String account);

    @Delete("DELETE FROM group_member WHERE group_name = #{group}")
    int deleteGroup(String group);

    @Delete("DELETE FROM group_member WHERE group_name = #{group} AND account = #{account}")
    int deleteMember(String group, String account);

    @Insert("INSERT INTO group_member (group_name, account) VALUES (#{group}, #{account})")
    int insertMember(String group, String account);
}
