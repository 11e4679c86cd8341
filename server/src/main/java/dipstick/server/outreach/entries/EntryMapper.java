package dipstick.server.outreach.entries;

import dipstick.server.database.Chunks;
import dipstick.server.outreach.plan.Standing;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
public interface EntryMapper {
    String COLUMNS =
            "id, set_id, person, standing, state, due_on, band, joined_on, why, steps_done, next_step, next_on,"
                    + " revision, changed_on";

    String NOT_JOINED = "NOT EXISTS (SELECT 1 FROM person_number n WHERE n.number = e.person AND n.delivery < 0)";

    String OPEN = "state IN ('TO_CONTACT', 'IN_PROGRESS')";

    /** Without the places of numbers that were joined to another, whose place is that of whoever goes on. */
    @Select("SELECT " + COLUMNS + " FROM list_entry e WHERE set_id = #{set} AND " + NOT_JOINED + " ORDER BY id")
    List<Entry> ofSet(String set);

    /** One of them. */
    @Select("SELECT " + COLUMNS + " FROM list_entry e WHERE set_id = #{set} AND person = #{person} AND " + NOT_JOINED)
    Optional<Entry> ofSetAndPerson(String set, String person);

    @Select("SELECT " + COLUMNS + " FROM list_entry WHERE person = #{person} ORDER BY set_id")
    List<Entry> ofPerson(String person);

    /** All that are open, of all lists. */
    @Select("SELECT " + COLUMNS + " FROM list_entry WHERE " + OPEN + " ORDER BY id")
    List<Entry> open();

    /** Those of whoever somebody has in hand, where something comes next. */
    @Select("SELECT e.* FROM in_hand h JOIN list_entry e ON e.person = h.person"
            + " WHERE h.account = #{account} AND e.next_on <> '' AND e." + OPEN + " ORDER BY e.person, e.set_id")
    List<Entry> plannedInHandOf(String account);

    @Select("SELECT " + COLUMNS + " FROM list_entry WHERE set_id = #{set} AND person = #{person}")
    Optional<Entry> find(String set, String person);

    @Select("SELECT " + COLUMNS + " FROM list_entry WHERE id = #{id}")
    Entry get(long id);

    /** Has other changes of a person's entries wait until the transaction is over. */
    @Select("SELECT id FROM list_entry WHERE person = #{person} ORDER BY id FOR UPDATE")
    List<Long> lockPerson(String person);

    /** Has other changes of a list's entries wait until the transaction is over. */
    @Select("SELECT id FROM list_entry WHERE set_id = #{set} ORDER BY id FOR UPDATE")
    List<Long> lockSet(String set);

    /** That somebody is to be contacted on a list. */
    record OpenOn(String person, String setId) {}

    /** All lists on which these are to be contacted. */
    @Select("SELECT person, set_id FROM UNNEST(CAST(#{people, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}"
            + " AS VARCHAR ARRAY)) AS asked(who) JOIN list_entry ON person = who WHERE " + OPEN + " ORDER BY set_id")
    List<OpenOn> openOf(@Param("people") String[] people);

    /** Those who are on a list, to be contacted, and joined it after a day. */
    @Select("SELECT person FROM list_entry e WHERE set_id = #{set} AND standing = 'ON' AND " + OPEN
            + " AND joined_on > #{after} AND " + NOT_JOINED)
    List<String> joinedAfter(String set, LocalDate after);

    /** How many people of a list somebody has in hand. */
    record InHandOfList(String setId, String account, int people) {}

    @Select("SELECT e.set_id, h.account, COUNT(*) AS people FROM in_hand h JOIN list_entry e ON e.person = h.person"
            + " WHERE e." + OPEN + " AND " + NOT_JOINED + " GROUP BY e.set_id, h.account")
    List<InHandOfList> inHandByList();

    /** New entries of one list, that all joined on one day; many at once, since a list can be long. */
    default void insertAll(List<Entry> joined) {
        // Whoever is to check begins with another step than whoever is on the list.
        Map<Standing, List<Entry>> piles = joined.stream().collect(Collectors.groupingBy(Entry::standing));
        piles.values().stream()
                .flatMap(Chunks::of)
                .forEach(some -> insertColumns(
                        some.getFirst(),
                        Chunks.texts(some, Entry::person),
                        Chunks.texts(some, Entry::dueOn),
                        Chunks.texts(some, Entry::band),
                        Chunks.texts(some, Entry::why)));
    }

    /** @param first for what is the same of all */
    @Insert("""
            INSERT INTO list_entry (set_id, standing, state, joined_on, steps_done, next_step, next_on, revision,
                changed_on, person, due_on, band, why)
            SELECT #{first.setId}, #{first.standing}, #{first.state}, #{first.joinedOn}, #{first.stepsDone}, #{first.nextStep},
                #{first.nextOn}, #{first.revision}, #{first.changedOn}, * FROM UNNEST(
                CAST(#{persons, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{dues, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{bands, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY),
                CAST(#{whys, typeHandler=org.apache.ibatis.type.ArrayTypeHandler} AS VARCHAR ARRAY))
            """)
    int insertColumns(
            @Param("first") Entry first,
            @Param("persons") String[] persons,
            @Param("dues") String[] dues,
            @Param("bands") String[] bands,
            @Param("whys") String[] whys);

    /** Makes it the next revision. Whoever calls this has locked it since it was read, so it still is at this one. */
    default void update(Entry entry) {
        if (updateRow(entry) != 1) {
            throw new IllegalStateException("Entry " + entry.id() + " is not at revision " + entry.revision());
        }
    }

    @Update("""
            UPDATE list_entry SET standing = #{standing}, state = #{state}, due_on = #{dueOn}, band = #{band},
                joined_on = #{joinedOn}, why = #{why}, steps_done = #{stepsDone}, next_step = #{nextStep},
                next_on = #{nextOn}, revision = revision + 1, changed_on = #{changedOn}
            WHERE id = #{id} AND revision = #{revision}
            """)
    int updateRow(Entry entry);

    /** What a reading says of somebody whose place is the same; no colleague needs to be told. */
    @Update("UPDATE list_entry SET due_on = #{dueOn}, band = #{band} WHERE id = #{id}")
    int updateReading(Entry entry);

    @Select("SELECT reading FROM list_followed WHERE set_id = #{set}")
    Optional<Long> followed(String set);

    @Update("MERGE INTO list_followed (set_id, reading) KEY (set_id) VALUES (#{set}, #{reading})")
    int follow(String set, long reading);

    @Insert("INSERT INTO list_manner (set_id, manner, revision) VALUES (#{set}, #{manner}, 1)")
    int insertManner(String set, String manner);

    @Update(
            "UPDATE list_manner SET manner = #{manner}, revision = #{to} WHERE set_id = #{set} AND revision = #{to} - 1")
    int updateManner(String set, String manner, int to);

    record MannerRow(String manner, int revision) {}

    @Select("SELECT manner, revision FROM list_manner WHERE set_id = #{set}")
    Optional<MannerRow> manner(String set);

    record MannerOf(String setId, String manner) {}

    @Select("SELECT set_id, manner FROM list_manner")
    List<MannerOf> manners();

    @Select("SELECT views FROM own_view WHERE account = #{account} AND set_id = #{set}")
    Optional<String> views(String account, String set);

    @Update("MERGE INTO own_view (account, set_id, views) KEY (account, set_id) VALUES (#{account}, #{set}, #{views})")
    int keepViews(String account, String set, String views);
}
