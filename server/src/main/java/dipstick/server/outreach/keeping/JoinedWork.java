package dipstick.server.outreach.keeping;

import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.Entry;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.plan.Standing;
import dipstick.server.personal.FollowsPerson;
import dipstick.server.together.ListsTouched;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Where two are one, attempts, notes and being excused follow to the number that goes on, and so do places on lists: on a
 * list where both have one, the place of whoever colleagues are further with is theirs.
 */
@Component
@Order(2)
class JoinedWork implements FollowsPerson {
    private final EntryMapper entries;
    private final ActMapper acts;
    private final Rows rows;
    private final ApplicationEventPublisher events;

    JoinedWork(EntryMapper entries, ActMapper acts, Rows rows, ApplicationEventPublisher events) {
        this.entries = entries;
        this.acts = acts;
        this.rows = rows;
        this.events = events;
    }

    @Mapper
    interface Rows {
        @Insert("INSERT INTO joined_row SELECT #{id}, 'ACT', id FROM outreach_act WHERE person = #{other}")
        int noteActs(Joining joining);

        @Update("UPDATE outreach_act SET person = #{person} WHERE person = #{other}")
        int giveActs(Joining joining);

        @Update("""
                UPDATE outreach_act SET person = #{other} WHERE person = #{person}
                    AND id IN (SELECT row_id FROM joined_row WHERE joining = #{id} AND part = 'ACT')
                """)
        int giveActsBack(Joining joining);

        @Insert("INSERT INTO joined_row SELECT #{id}, 'EXCUSED', id FROM excusal WHERE person = #{other}")
        int noteExcusals(Joining joining);

        @Update("UPDATE excusal SET person = #{person} WHERE person = #{other}")
        int giveExcusals(Joining joining);

        @Update("""
                UPDATE excusal SET person = #{other} WHERE person = #{person}
                    AND id IN (SELECT row_id FROM joined_row WHERE joining = #{id} AND part = 'EXCUSED')
                """)
        int giveExcusalsBack(Joining joining);

        @Update("""
                UPDATE in_hand SET person = #{person} WHERE person = #{other}
                    AND NOT EXISTS (SELECT 1 FROM in_hand WHERE person = #{person})
                """)
        int giveHand(Joining joining);

        @Insert(
                "INSERT INTO joined_entry SELECT #{joining}, e.revision + 1, e.* FROM list_entry e WHERE e.id = #{entry}")
        int noteEntry(@Param("joining") long joining, @Param("entry") long entry);

        @Update("UPDATE list_entry SET person = #{person}, revision = revision + 1 WHERE id = #{entry}")
        int giveEntry(@Param("entry") long entry, @Param("person") String person);

        @Select("SELECT " + EntryMapper.COLUMNS + " FROM joined_entry WHERE joining = #{joining} ORDER BY id")
        List<Entry> before(long joining);

        /** Where nothing changed it since; else no row. */
        @Update("""
                MERGE INTO list_entry USING (SELECT * FROM joined_entry WHERE joining = #{joining} AND id = #{entry}) was
                ON list_entry.id = was.id AND list_entry.revision = was.left_at
                WHEN MATCHED THEN UPDATE SET person = was.person, standing = was.standing, state = was.state,
                    due_on = was.due_on, band = was.band, joined_on = was.joined_on, why = was.why,
                    steps_done = was.steps_done, next_step = was.next_step, next_on = was.next_on,
                    revision = was.left_at + 1, changed_on = was.changed_on
                """)
        int restoreEntry(@Param("joining") long joining, @Param("entry") long entry);

        @Delete("DELETE FROM joined_entry WHERE joining = #{joining}")
        int forgetEntries(long joining);
    }

    @Override
    public void join(Joining joining) {
        entries.lockPerson(joining.person());
        entries.lockPerson(joining.other());
        Map<String, Entry> theirs = new HashMap<>();
        entries.ofPerson(joining.person()).forEach(entry -> theirs.put(entry.setId(), entry));
        Set<String> touched = new HashSet<>(theirs.keySet());
        for (Entry entry : entries.ofPerson(joining.other())) {
            touched.add(entry.setId());
            rows.noteEntry(joining.id(), entry.id());
            Optional.ofNullable(theirs.get(entry.setId()))
                    .ifPresentOrElse(
                            own -> becomeOne(joining, own, entry), () -> rows.giveEntry(entry.id(), joining.person()));
        }
        rows.noteActs(joining);
        rows.giveActs(joining);
        rows.noteExcusals(joining);
        rows.giveExcusals(joining);
        rows.giveHand(joining);
        acts.letGo(joining.other());
        tell(touched);
    }

    private void becomeOne(Joining joining, Entry own, Entry other) {
        if (other.isFurtherThan(own)) {
            rows.noteEntry(joining.id(), own.id());
            entries.update(own.inPlaceOf(other));
        }
        entries.update(other.standing(Standing.OFF, "Goes on under the number " + joining.person() + ".")
                .ended(Entry.State.LEFT, other.changedOn()));
    }

    @Override
    public void part(Joining joining) {
        entries.lockPerson(joining.person());
        entries.lockPerson(joining.other());
        Set<String> touched = new HashSet<>();
        for (Entry before : rows.before(joining.id())) {
            touched.add(before.setId());
            boolean restored = rows.restoreEntry(joining.id(), before.id()) == 1;
            Entry now = entries.get(before.id());
            if (!restored
                    && before.person().equals(joining.other())
                    && now.person().equals(joining.person())) {
                // The place was the other's; how far colleagues are by now stays.
                rows.giveEntry(before.id(), joining.other());
            }
        }
        rows.forgetEntries(joining.id());
        rows.giveActsBack(joining);
        rows.giveExcusalsBack(joining);
        tell(touched);
    }

    private void tell(Set<String> lists) {
        if (!lists.isEmpty()) {
            events.publishEvent(ListsTouched.whole(lists));
        }
    }
}
