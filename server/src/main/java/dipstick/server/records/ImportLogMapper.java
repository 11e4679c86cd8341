package dipstick.server.records;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ImportLogMapper {
    record Entry(
            Instant takenAt,
            String takenBy,
            String kind,
            String fileName,
            int newRows,
            int changedRows,
            int unchangedRows,
            int goneRows,
            int badLines,
            int unknownPeople) {}

    @Insert("""
            INSERT INTO import_log (taken_at, taken_by, kind, file_name, new_rows, changed_rows, unchanged_rows,
                gone_rows, bad_lines, unknown_people)
            VALUES (#{takenAt}, #{takenBy}, #{kind}, #{fileName}, #{newRows}, #{changedRows}, #{unchangedRows}, #{goneRows},
                #{badLines}, #{unknownPeople})
            """)
    int insert(Entry entry);

    @Select("""
            SELECT taken_at, taken_by, kind, file_name, new_rows, changed_rows, unchanged_rows, gone_rows, bad_lines,
                unknown_people
            FROM import_log ORDER BY id DESC LIMIT 50
            """)
    List<Entry> latest();

    @Delete("DELETE FROM import_log WHERE taken_at < #{day}")
    int deleteBefore(LocalDate day);
}
