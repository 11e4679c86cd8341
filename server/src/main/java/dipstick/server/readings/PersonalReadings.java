package dipstick.server.readings;

import dipstick.server.personal.PersonalData;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** On which readings of which lists a person was, and what changed for them between two. */
@Component
@Order(3)
class PersonalReadings implements PersonalData {
    private final Rows rows;

    PersonalReadings(Rows rows) {
        this.rows = rows;
    }

    @Mapper
    interface Rows {
        record Was(LocalDate asOf, String setId, String state, String dueOn, String band, String why) {}

        record Moved(LocalDate asOf, String setId, String was, String nowIs, String cause, String words) {}

        @Select("""
                SELECT r.as_of, r.set_id, m.state, m.due_on, m.band, m.why
                FROM reading_member m JOIN reading r
                    ON r.base = m.reading AND r.id >= m.from_reading AND r.id < m.until_reading
                WHERE m.person = #{person} ORDER BY r.id
                """)
        List<Was> membersOf(String person);

        @Select("""
                SELECT r.as_of, r.set_id, c.was, c.now_is, c.cause, c.words
                FROM reading_change c JOIN reading r ON r.id = c.reading WHERE c.person = #{person} ORDER BY r.id
                """)
        List<Moved> changesOf(String person);

        @Update("UPDATE reading_member SET person = #{stub}, why = '' WHERE person = #{person}")
        int stubMembers(String person, String stub);

        @Update("UPDATE reading_change SET person = #{stub}, words = '' WHERE person = #{person}")
        int stubChanges(String person, String stub);
    }

    @Override
    public List<Held> heldOf(String person) {
        return List.of(
                new Held(
                        "Readings of lists they were on",
                        List.of("read as of", "list", "state", "due", "band", "why"),
                        rows.membersOf(person).stream()
                                .map(row -> List.of(
                                        row.asOf().toString(),
                                        row.setId(),
                                        row.state(),
                                        row.dueOn(),
                                        row.band(),
                                        row.why()))
                                .toList()),
                new Held(
                        "Changes between two readings",
                        List.of("read as of", "list", "was", "is", "cause", "why"),
                        rows.changesOf(person).stream()
                                .map(row -> List.of(
                                        row.asOf().toString(),
                                        row.setId(),
                                        row.was(),
                                        row.nowIs(),
                                        row.cause(),
                                        row.words()))
                                .toList()));
    }

    @Override
    public void erase(String person, String stub, String by) {
        rows.stubMembers(person, stub);
        rows.stubChanges(person, stub);
    }
}
