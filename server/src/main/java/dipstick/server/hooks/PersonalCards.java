package dipstick.server.hooks;

import dipstick.server.personal.PersonalData;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What record systems were told of a person; each stays with the number under which it was told. */
@Component
@Order(5)
class PersonalCards implements PersonalData {
    private final HookMapper hooks;

    PersonalCards(HookMapper hooks) {
        this.hooks = hooks;
    }

    @Override
    public List<Held> heldOf(String person) {
        return List.of(new Held(
                "Told to record systems",
                List.of("when", "record system", "hook", "list", "what came of it", "reason"),
                hooks.cardsOf(person).stream()
                        .map(card -> List.of(
                                card.at().toString(),
                                card.recordSystem(),
                                card.hook(),
                                card.setId(),
                                card.outcome(),
                                card.reason()))
                        .toList()));
    }

    @Override
    public void erase(String person, String stub, String by) {
        hooks.forget(person);
    }
}
