package dipstick.server.prompts;

import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface PromptMapper {
    String OF_DISMISSAL = "id, set_id, person, reason, from_day, until_day, account, ended";

    record RuleRow(
            String setId,
            boolean whenOpened,
            boolean whenComingIn,
            boolean toRecordSystems,
            String sentence,
            int revision) {
        static RuleRow of(String set, PromptRule rule, int revision) {
            return new RuleRow(
                    set,
                    rule.whenOpened(),
                    rule.whenComingIn(),
                    rule.toRecordSystems(),
                    rule.sentence().strip(),
                    revision);
        }

        PromptRule rule() {
            return new PromptRule(whenOpened, whenComingIn, toRecordSystems, sentence);
        }
    }

    @Select("""
            SELECT set_id, when_opened, when_coming_in, to_record_systems, sentence, revision FROM prompt_rule
            WHERE set_id = #{set}
            """)
    Optional<RuleRow> rule(String set);

    @Insert("""
            INSERT INTO prompt_rule (set_id, when_opened, when_coming_in, to_record_systems, sentence, revision)
            VALUES (#{setId}, #{whenOpened}, #{whenComingIn}, #{toRecordSystems}, #{sentence}, #{revision})
            """)
    int insertRule(RuleRow rule);

    @Update("""
            UPDATE prompt_rule SET when_opened = #{whenOpened}, when_coming_in = #{whenComingIn},
                to_record_systems = #{toRecordSystems}, sentence = #{sentence}, revision = #{revision}
            WHERE set_id = #{setId} AND revision = #{revision} - 1
            """)
    int updateRule(RuleRow rule);

    /** Gives its id. */
    @Select(value = """
            SELECT id FROM FINAL TABLE (
                INSERT INTO prompt_dismissal (set_id, person, reason, from_day, until_day, account, ended)
                VALUES (#{setId}, #{person}, #{reason}, #{fromDay}, #{untilDay}, #{account}, #{ended}))
            """, affectData = true)
    long insertDismissal(Dismissal one);

    @Update("UPDATE prompt_dismissal SET ended = TRUE WHERE id = #{id} AND set_id = #{set} AND NOT ended")
    int end(String set, long id);

    @Select("SELECT " + OF_DISMISSAL + " FROM prompt_dismissal WHERE id = #{id} AND set_id = #{set}")
    Optional<Dismissal> dismissal(String set, long id);

    @Select("SELECT " + OF_DISMISSAL + " FROM prompt_dismissal WHERE person = #{person} ORDER BY id")
    List<Dismissal> dismissalsOf(String person);

    @Delete("DELETE FROM prompt_dismissal WHERE person = #{person}")
    int forget(String person);
}
