package dipstick.server.sameperson;

import dipstick.server.personal.PersonalData;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** With whom somebody was joined, or told apart. */
@Component
@Order(6)
class PersonalJoinings implements PersonalData {
    private final JoiningMapper joinings;

    PersonalJoinings(JoiningMapper joinings) {
        this.joinings = joinings;
    }

    @Override
    public List<Held> heldOf(String person) {
        return List.of(
                new Held(
                        "Numbers that were joined",
                        List.of("goes on as", "other number", "when", "by"),
                        joinings.naming(person).stream()
                                .map(one -> List.of(
                                        one.person(),
                                        one.other(),
                                        one.joinedAt().toString(),
                                        one.joinedBy()))
                                .toList()),
                new Held(
                        "Told apart from",
                        List.of("number", "when", "by"),
                        joinings.apartFrom(person).stream()
                                .map(one -> List.of(
                                        Stream.of(one.one(), one.other())
                                                .filter(number -> !number.equals(person))
                                                .findFirst()
                                                .orElse(person),
                                        one.saidAt().toString(),
                                        one.saidBy()))
                                .toList()));
    }

    @Override
    public void erase(String person, String stub, String by) {
        joinings.naming(person).forEach(joining -> joinings.forgetRows(joining.id()));
        joinings.erase(person);
        joinings.eraseApart(person);
    }
}
