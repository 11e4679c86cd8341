package dipstick.server.records;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

@Mapper
interface ImportLogMapper {
    /** @param intake the name of the intake; empty for a plain file */
    record Begun(Instant takenAt, String takenBy, String fileName, String intake, String checksum) {}

    record Entry(
            long id,
            Instant takenAt,
            String takenBy,

            String fileName,
            @Nullable String intake,
            int newRows,
            int changedRows,
            int unchangedRows,
            int goneRows,
            int badLines,
            int unknownPeople,
            @Nullable Instant takenBackAt,
            @Nullable String takenBackBy) {}

    /** A delivery that begins, and gets its number; what came of it is written when it is through. */
    @Select(value = """
            SELECT id FROM FINAL TABLE (
                INSERT INTO import_log (taken_at, taken_by, file_name, intake, checksum, new_rows, changed_rows,
                    unchanged_rows, gone_rows, bad_lines, unknown_people)
                VALUES (#{takenAt}, #{takenBy}, #{fileName}, #{intake}, #{checksum}, 0, 0, 0, 0, 0, 0))
            """, affectData = true)
    long begin(Begun begun);

    @Update("""
            UPDATE import_log SET new_rows = #{newRows}, changed_rows = #{changedRows}, unchanged_rows = #{unchangedRows},
                gone_rows = #{goneRows}, bad_lines = #{badLines}, unknown_people = #{unknownPeople}
            WHERE id = #{id}
            """)
    int finish(
            @Param("id") long id,
            @Param("newRows") int newRows,
            @Param("changedRows") int changedRows,
            @Param("unchangedRows") int unchangedRows,
            @Param("goneRows") int goneRows,
            @Param("badLines") int badLines,
            @Param("unknownPeople") int unknownPeople);

    @Select("""
            SELECT id, taken_at, taken_by, file_name, intake, new_rows, changed_rows, unchanged_rows, gone_rows,
                bad_lines, unknown_people, taken_back_at, taken_back_by
            FROM import_log ORDER BY id DESC LIMIT 50
            """)
    List<Entry> latest();

    /** When a file with this checksum was last taken, and not taken back. */
    @Select("""
            SELECT MAX(taken_at) FROM import_log WHERE checksum = #{checksum} AND taken_back_at IS NULL
            """)
    Optional<Instant> lastTaken(String checksum);

    record TakenBy(String intake, Instant takenAt) {}

    /** The latest first. */
    @Select("""
            SELECT intake, taken_at FROM import_log
            WHERE intake <> '' AND taken_back_at IS NULL ORDER BY id DESC LIMIT 2000
            """)
    List<TakenBy> takenByIntakes();

    @Select("""
            SELECT new_rows + changed_rows + unchanged_rows FROM import_log
            WHERE intake = #{intake} AND taken_back_at IS NULL ORDER BY id DESC LIMIT 1
            """)
    Optional<Integer> lastBroughtBy(String intake);

    @Delete("DELETE FROM import_log WHERE taken_at < #{day}")
    int deleteBefore(LocalDate day);
}
