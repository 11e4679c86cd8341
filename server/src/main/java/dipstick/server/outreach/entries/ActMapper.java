package dipstick.server.outreach.entries;

import dipstick.server.database.Chunks;
import dipstick.server.outreach.plan.Step;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
public interface ActMapper {
    /** Asked of each who was tried: far fewer than are on a list. */
    String ON_LIST = "EXISTS (SELECT 1 FROM list_entry e WHERE e.set_id = #{set} AND e.person = a.person)";

    String COLUMNS = "id, batch, set_id, person, account, at, on_day, kind, outcome, words, hand_before, undone";

    /** An entry as it was before an act, and the revision at which the act left it. */
    record ChangedEntry(
            long act,
            long entry,
            Entry.State state,
            int stepsDone,
            Step nextStep,
            String nextOn,
            LocalDate changedOn,
            int revision) {}

    /** @return its id */
    @Select(value = """
            SELECT id FROM FINAL TABLE (
                INSERT INTO outreach_act (batch, set_id, person, account, at, on_day, kind, outcome, words, hand_before,
                    undone)
                VALUES (#{batch}, #{setId}, #{person}, #{account}, #{at}, #{onDay}, #{kind}, #{outcome}, #{words},
                    #{handBefore}, FALSE))
            """, affectData = true)
    long insert(DeskAct act);

    /** What one reading did about many; many at once, since a list can be long. */
    default void insertAll(List<DeskAct> acts) {
        Chunks.of(acts)
                .forEach(some -> insertColumns(
                        some.getFirst(), Chunks.texts(some, DeskAct::person), Chunks.texts(some, DeskAct::words)));
    }

    /** @param first for what is the same of all */
    @Insert("""
            INSERT INTO outreach_act (batch, set_id, account, at, on_day, kind, outcome, hand_before, undone, person,
                words)
            SELECT #{first.batch}, #{first.setId}, #{first.account}, #{first.at}, #{first.onDay}, #{first.kind},
                #{first.outcome}, #{first.handBefore}, FALSE, * FROM UNNEST(
                CAST(#{persons, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{words, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY))
            """)
    int insertColumns(
            @Param("first") DeskAct first, @Param("persons") String[] persons, @Param("words") String[] words);

    @Insert("""
            INSERT INTO outreach_change (act, entry, state, steps_done, next_step, next_on, changed_on, revision)
            VALUES (#{act}, #{entry}, #{state}, #{stepsDone}, #{nextStep}, #{nextOn}, #{changedOn}, #{revision})
            """)
    int insertChange(ChangedEntry change);

    @Select("SELECT act, entry, state, steps_done, next_step, next_on, changed_on, revision FROM outreach_change"
            + " WHERE act = #{act}")
    List<ChangedEntry> changes(long act);

    /** After an act was undone, the one before it left the entry as it is now. Where it was a reading, no row. */
    @Update("UPDATE outreach_change SET revision = #{now} WHERE entry = #{entry} AND revision = #{before}")
    int isLastAgain(long entry, int before, int now);

    @Select("""
            SELECT answer FROM outreach_answer
            WHERE account = #{account} AND set_id = #{set} AND batch = #{batch} AND part = #{part}
            """)
    Optional<String> answer(String account, String set, String batch, int part);

    @Insert("""
            INSERT INTO outreach_answer (account, set_id, batch, part, answer)
            VALUES (#{account}, #{set}, #{batch}, #{part}, #{answer})
            """)
    int keepAnswer(String account, String set, String batch, int part, String answer);

    @Select("SELECT " + COLUMNS + " FROM outreach_act WHERE batch = #{batch} ORDER BY id")
    List<DeskAct> ofBatch(String batch);

    /** The newest first. */
    @Select("SELECT " + COLUMNS + " FROM outreach_act WHERE person = #{person} ORDER BY id DESC")
    List<DeskAct> ofPerson(String person);

    /** The latest attempt of each person of a list, on whichever list it was made. */
    @Select("SELECT " + COLUMNS + " FROM outreach_act WHERE id IN (SELECT MAX(a.id) FROM outreach_act a"
            + " WHERE a.kind = 'ATTEMPT' AND NOT a.undone AND " + ON_LIST + " GROUP BY a.person)")
    List<DeskAct> lastAttempts(String set);

    /** The latest attempt with one of them. */
    @Select("SELECT " + COLUMNS + " FROM outreach_act WHERE id = (SELECT MAX(id) FROM outreach_act"
            + " WHERE person = #{person} AND kind = 'ATTEMPT' AND NOT undone)")
    Optional<DeskAct> lastAttemptWith(String person);

    record Reached(String person, LocalDate onDay) {}

    /**
     * When each person of a list was last reached, on whichever list; without those with whom a colleague planned the
     * next step on this list since, which is what was agreed.
     */
    @Select("""
            SELECT a.person, MAX(a.on_day) AS on_day FROM outreach_act a
            JOIN attempt_outcome o ON o.id = a.outcome AND o.effect IN ('REACHED', 'BOOKED', 'DECLINED')
            WHERE a.kind = 'ATTEMPT' AND NOT a.undone AND""" + " " + ON_LIST + """
                AND NOT EXISTS (SELECT 1 FROM outreach_act p WHERE p.person = a.person AND p.set_id = #{set}
                    AND p.kind = 'PLANNED' AND NOT p.undone AND p.id > a.id)
            GROUP BY a.person
            """)
    List<Reached> lastReached(String set);

    /** The same of one of them. */
    @Select("""
            SELECT a.person, MAX(a.on_day) AS on_day FROM outreach_act a
            JOIN attempt_outcome o ON o.id = a.outcome AND o.effect IN ('REACHED', 'BOOKED', 'DECLINED')
            WHERE a.person = #{person} AND a.kind = 'ATTEMPT' AND NOT a.undone
                AND NOT EXISTS (SELECT 1 FROM outreach_act p WHERE p.person = a.person AND p.set_id = #{set}
                    AND p.kind = 'PLANNED' AND NOT p.undone AND p.id > a.id)
            GROUP BY a.person
            """)
    Optional<Reached> reachedOf(String set, String person);

    /** The last act of all; 0 before the first. */
    @Select("SELECT COALESCE(MAX(id), 0) FROM outreach_act")
    long lastId();

    /** The same as it was at a time. */
    @Select("SELECT COALESCE(MAX(id), 0) FROM outreach_act WHERE at <= #{at}")
    long lastIdAt(Instant at);

    /** Those who came to be on a list after an act. */
    @Select("""
            SELECT DISTINCT person FROM outreach_act
            WHERE set_id = #{set} AND kind IN ('JOINED', 'NOW_ON') AND NOT undone AND id > #{after}
            """)
    List<String> joinedAfter(String set, long after);

    record Tally(String person, String outcome, String monthOf, int attempts) {}

    /** Attempts made on a list with each person, by outcome and month. */
    @Select("""
            SELECT person, outcome, FORMATDATETIME(on_day, 'yyyy-MM') AS month_of, COUNT(*) AS attempts
            FROM outreach_act WHERE set_id = #{set} AND kind = 'ATTEMPT' AND NOT undone
            GROUP BY person, outcome, month_of ORDER BY month_of, outcome
            """)
    List<Tally> attempts(String set);

    @Update("UPDATE outreach_act SET undone = TRUE WHERE id = #{id} AND NOT undone")
    int undo(long id);

    @Select("SELECT person, account, since FROM in_hand WHERE person = #{person}")
    Optional<Hand> hand(String person);

    @Select("SELECT a.person, a.account, a.since FROM in_hand a WHERE " + ON_LIST)
    List<Hand> handsOfSet(String set);

    @Select("SELECT person, account, since FROM in_hand WHERE account = #{account} ORDER BY person")
    List<Hand> handsOf(String account);

    /** How those came to somebody's hand whom another one gave them, if nobody went on with them since. */
    @Select("SELECT " + COLUMNS
            + " FROM outreach_act WHERE kind IN ('GIVEN', 'HANDED_OVER') AND id IN (SELECT MAX(a.id)"
            + " FROM outreach_act a JOIN in_hand h ON h.person = a.person"
            + " WHERE h.account = #{account} AND NOT a.undone AND a.account <> '' GROUP BY a.person) ORDER BY person")
    List<DeskAct> handedTo(String account);

    /** A number of something of each colleague of whom there is any. */
    record CountOf(String account, int number) {}

    @Select("SELECT account, COUNT(*) AS number FROM in_hand GROUP BY account")
    List<CountOf> inHand();

    @Select("SELECT account, COUNT(*) AS number FROM outreach_act"
            + " WHERE kind = 'ATTEMPT' AND NOT undone AND on_day > #{after} GROUP BY account")
    List<CountOf> attemptsAfter(LocalDate after);

    @Update("MERGE INTO in_hand (person, account, since) KEY (person) VALUES (#{person}, #{account}, #{since})")
    int take(Hand hand);

    @Delete("DELETE FROM in_hand WHERE person = #{person}")
    int letGo(String person);

    @Select("SELECT id, name, effect, place, in_use FROM attempt_outcome ORDER BY place, id")
    List<AttemptOutcome> outcomes();

    @Insert("""
            INSERT INTO attempt_outcome (id, name, effect, place, in_use)
            VALUES (#{id}, #{name}, #{effect}, #{place}, #{inUse})
            """)
    int insertOutcome(AttemptOutcome outcome);

    @Update("""
            UPDATE attempt_outcome SET name = #{name}, effect = #{effect}, place = #{place}, in_use = #{inUse}
            WHERE id = #{id}
            """)
    int updateOutcome(AttemptOutcome outcome);
}
