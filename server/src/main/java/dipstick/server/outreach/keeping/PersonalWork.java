package dipstick.server.outreach.keeping;

import dipstick.server.outreach.entries.ActMapper;
import dipstick.server.outreach.entries.EntryMapper;
import dipstick.server.outreach.excused.Excusal;
import dipstick.server.outreach.excused.ExcusalMapper;
import dipstick.server.personal.PersonalData;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** On which lists a person is or was, and what colleagues did about them. */
@Component
@Order(2)
class PersonalWork implements PersonalData {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final EntryMapper entries;
    private final ActMapper acts;
    private final Rows rows;

    PersonalWork(EntryMapper entries, ActMapper acts, Rows rows) {
        this.entries = entries;
        this.acts = acts;
        this.rows = rows;
    }

    @Mapper
    interface Rows {
        /** Those that were ended too. */
        @Select("SELECT " + ExcusalMapper.COLUMNS + " FROM excusal WHERE person = #{person} ORDER BY id")
        List<Excusal> excusalsOf(String person);

        @Update("UPDATE list_entry SET person = #{stub}, why = '' WHERE person = #{person}")
        int stubEntries(String person, String stub);

        /** What was done at once with others can be undone without them. */
        @Update("UPDATE outreach_act SET person = #{stub}, words = '', batch = #{stub} WHERE person = #{person}")
        int stubActs(String person, String stub);

        @Update("UPDATE excusal SET person = #{stub}, reason = '', ended = TRUE WHERE person = #{person}")
        int stubExcusals(String person, String stub);

        @Delete("DELETE FROM joined_entry WHERE person = #{person}")
        int forgetJoined(String person);

        @Delete("DELETE FROM outreach_answer WHERE LOCATE(#{quoted}, answer) > 0")
        int deleteAnswersNaming(String quoted);
    }

    @Override
    public List<Held> heldOf(String person) {
        return List.of(
                new Held(
                        "On lists",
                        List.of("list", "since", "standing", "state", "due", "band", "next step", "on", "why"),
                        entries.ofPerson(person).stream()
                                .map(entry -> List.of(
                                        entry.setId(),
                                        entry.joinedOn().toString(),
                                        entry.standing().name(),
                                        entry.state().name(),
                                        entry.dueOn(),
                                        entry.band(),
                                        entry.nextStep().name(),
                                        entry.nextOn(),
                                        entry.why()))
                                .toList()),
                new Held(
                        "What was done about them",
                        List.of("when", "list", "by", "what", "outcome", "words", "undone"),
                        acts.ofPerson(person).stream()
                                .map(act -> List.of(
                                        act.at().toString(),
                                        act.setId(),
                                        act.account(),
                                        act.kind().name(),
                                        act.outcome(),
                                        act.words(),
                                        act.undone() ? "yes" : "no"))
                                .toList()),
                new Held(
                        "Excused",
                        List.of("from", "until", "list", "by", "reason", "ended"),
                        rows.excusalsOf(person).stream()
                                .map(excusal -> List.of(
                                        excusal.fromDay().toString(),
                                        excusal.untilDay(),
                                        excusal.setId(),
                                        excusal.account(),
                                        excusal.reason(),
                                        excusal.ended() ? "yes" : "no"))
                                .toList()),
                new Held(
                        "In a colleague's hand",
                        List.of("whose", "since"),
                        acts
                                .hand(person)
                                .map(hand ->
                                        List.of(hand.account(), hand.since().toString()))
                                .stream()
                                .toList()));
    }

    @Override
    public void erase(String person, String stub, String by) {
        // Whoever works on them just now goes first, or finds nobody.
        entries.lockPerson(person);
        acts.letGo(person);
        rows.stubEntries(person, stub);
        rows.stubActs(person, stub);
        rows.stubExcusals(person, stub);
        rows.forgetJoined(person);
        rows.deleteAnswersNaming(JSON.writeValueAsString(person));
    }
}
