package dipstick.server.prompts;

import dipstick.server.personal.PersonalData;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Why nobody was to be told of a person for a while. */
@Component
@Order(5)
class PersonalPrompts implements PersonalData {
    private final PromptMapper prompts;

    PersonalPrompts(PromptMapper prompts) {
        this.prompts = prompts;
    }

    @Override
    public List<Held> heldOf(String person) {
        return List.of(new Held(
                "Not to be told of",
                List.of("from", "until", "list", "by", "reason", "ended"),
                prompts.dismissalsOf(person).stream()
                        .map(one -> List.of(
                                one.fromDay().toString(),
                                one.untilDay().toString(),
                                one.setId(),
                                one.account(),
                                one.reason(),
                                one.ended() ? "yes" : "no"))
                        .toList()));
    }

    @Override
    public void erase(String person, String stub, String by) {
        prompts.forget(person);
    }
}
