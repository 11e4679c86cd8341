package dipstick.server.exchange;

import dipstick.server.personal.FollowsPerson;
import dipstick.server.personal.PersonalData;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What was written to a person; the letters themselves are not kept. */
@Component
@Order(4)
class PersonalLetters implements PersonalData, FollowsPerson {
    private final ExchangeMapper kept;

    PersonalLetters(ExchangeMapper kept) {
        this.kept = kept;
    }

    @Override
    public List<Held> heldOf(String person) {
        return List.of(new Held(
                "Written to them",
                List.of("on", "list", "what", "text", "by"),
                kept.writtenTo(person).stream()
                        .map(row ->
                                List.of(row.onDay().toString(), row.setId(), row.what(), row.template(), row.account()))
                        .toList()));
    }

    @Override
    public void join(Joining joining) {
        kept.noteWritten(joining);
        kept.giveWritten(joining);
    }

    @Override
    public void part(Joining joining) {
        kept.giveWrittenBack(joining);
    }

    @Override
    public void erase(String person, String stub, String by) {
        kept.stubWritten(person, stub);
    }
}
