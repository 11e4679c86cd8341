package dipstick.server.readings;

import dipstick.server.database.Chunks;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface ReadingMapper {
    String COLUMNS = "id, set_id, version, as_of, taken_at, taken_by, occasion, records_at, records_stamp, dials,"
            + " eligible, has, on_list, to_check, joined, gone, base";

    /** Of the members that were told since a whole reading, those that hold at one. */
    String HOLDS = "reading = #{one.base} AND from_reading <= #{one.id} AND until_reading > #{one.id}";

    /** The newest first. */
    @Select("SELECT " + COLUMNS + " FROM reading WHERE set_id = #{set} ORDER BY id DESC")
    List<TakenReading> ofSet(String set);

    @Select("SELECT " + COLUMNS + " FROM reading WHERE set_id = #{set} ORDER BY id DESC LIMIT 1")
    Optional<TakenReading> latest(String set);

    @Select("SELECT " + COLUMNS + " FROM reading WHERE id IN (SELECT MAX(id) FROM reading GROUP BY set_id)")
    List<TakenReading> latestOfEach();

    @Select("SELECT " + COLUMNS + " FROM reading WHERE set_id = #{set} AND id = #{id}")
    Optional<TakenReading> find(String set, long id);

    @Select("SELECT person, state, due_on, band, why FROM reading_member WHERE " + HOLDS + " ORDER BY person")
    List<ReadMember> members(@Param("one") TakenReading reading);

    /** Somebody who was on the list or to check. */
    @Select("SELECT person, state, due_on, band, why FROM reading_member WHERE person = #{person} AND " + HOLDS)
    Optional<ReadMember> member(@Param("one") TakenReading reading, @Param("person") String person);

    /** Has it be told no more of somebody from a reading on. */
    @Update("UPDATE reading_member SET until_reading = #{from} WHERE reading = #{base} AND person = #{person}"
            + " AND until_reading > #{from}")
    int endMember(long base, String person, long from);

    /** A whole reading is told from itself. */
    @Update("UPDATE reading SET base = id WHERE id = #{id}")
    int isWhole(long id);

    /** @param band empty for none */
    record InBand(String band, int people) {}

    /** How many were on the list in each band in which there was anybody. */
    @Select("SELECT band, COUNT(*) AS people FROM reading_member WHERE state = #{state} AND " + HOLDS
            + " GROUP BY band")
    List<InBand> inBands(@Param("one") TakenReading reading, @Param("state") String state);

    @Select("SELECT person, was, now_is, cause, words FROM reading_change WHERE reading = #{id} ORDER BY person")
    List<ReadChange> changes(long id);

    /** How one part stood at each reading at which there was somebody in it, the first one first. */
    @Select("""
            SELECT r.as_of, p.eligible, p.has, p.on_list, p.to_check
            FROM reading_part p JOIN reading r ON r.id = p.reading
            WHERE r.set_id = #{set} AND p.field = #{field} AND LOWER(p.name) = LOWER(#{name}) ORDER BY r.id
            """)
    List<LevelAt> levelsOfPart(String set, String field, String name);

    /** What changed at readings after one, up to another, the last first. */
    @Select("""
            SELECT c.person, c.was, c.now_is, c.cause, c.words
            FROM reading_change c JOIN reading r ON r.id = c.reading
            WHERE r.set_id = #{set} AND r.id > #{after} AND r.id <= #{through} ORDER BY r.id DESC
            """)
    List<ReadChange> changesBetween(String set, long after, long through);

    /** @return its id */
    @Select(value = """
            SELECT id FROM FINAL TABLE (
                INSERT INTO reading (set_id, version, as_of, taken_at, taken_by, occasion, records_at, records_stamp,
                    dials, eligible, has, on_list, to_check, joined, gone, base, levels)
                VALUES (#{one.setId}, #{one.version}, #{one.asOf}, #{one.takenAt}, #{one.takenBy}, #{one.occasion},
                    #{one.recordsAt}, #{one.recordsStamp}, #{one.dials}, #{one.eligible}, #{one.has}, #{one.onList},
                    #{one.toCheck}, #{one.joined}, #{one.gone}, #{one.base}, #{levels}))
            """, affectData = true)
    long insert(@Param("one") TakenReading reading, @Param("levels") String levels);

    @Select("SELECT levels FROM reading WHERE id = #{id}")
    String levels(long id);

    @Insert("""
            INSERT INTO reading_part (reading, field, name, eligible, has, on_list, to_check)
            VALUES (#{reading}, #{part.field}, #{part.name}, #{part.eligible}, #{part.has}, #{part.onList},
                #{part.toCheck})
            """)
    int insertPart(long reading, ReadPart part);

    @Select("SELECT field, name, eligible, has, on_list, to_check FROM reading_part WHERE reading = #{reading}"
            + " ORDER BY field, LOWER(name)")
    List<ReadPart> parts(long reading);

    /**
     * Many at once, since a list can be long.
     *
     * @param base the whole reading that they are told with
     * @param from the reading from which on they hold
     */
    default void insertMembers(long base, long from, List<ReadMember> members) {
        Chunks.of(members)
                .forEach(some -> insertMemberColumns(
                        base,
                        from,
                        Chunks.texts(some, ReadMember::person),
                        Chunks.texts(some, ReadMember::state),
                        Chunks.texts(some, ReadMember::dueOn),
                        Chunks.texts(some, ReadMember::band),
                        Chunks.texts(some, ReadMember::why)));
    }

    @Insert("""
            INSERT INTO reading_member (reading, from_reading, person, state, due_on, band, why)
            SELECT #{base}, #{from}, * FROM UNNEST(
                CAST(#{persons, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{states, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{dues, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{bands, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{whys, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY))
            """)
    int insertMemberColumns(
            @Param("base") long base,
            @Param("from") long from,
            @Param("persons") String[] persons,
            @Param("states") String[] states,
            @Param("dues") String[] dues,
            @Param("bands") String[] bands,
            @Param("whys") String[] whys);

    @Insert("""
            INSERT INTO reading_change (reading, person, was, now_is, cause, words)
            VALUES (#{reading}, #{change.person}, #{change.was}, #{change.nowIs}, #{change.cause}, #{change.words})
            """)
    int insertChange(long reading, ReadChange change);
}
