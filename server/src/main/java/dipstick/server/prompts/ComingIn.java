package dipstick.server.prompts;

import dipstick.server.people.PersonLine;
import java.util.List;
import java.util.Optional;

/**
 * Somebody on a list who has an appointment.
 *
 * @param on the day of it, an ISO date
 * @param provider with whom
 * @param site where
 * @param mention the lists that they are on
 */
record ComingIn(PersonLine person, String on, String provider, String site, List<Mention> mention) {
    ComingIn {
        mention = List.copyOf(mention);
    }

    /**
     * A list that they are on.
     *
     * @param toCheck whether they are to check, and not on it
     * @param prompt whether they are to be told of it when they come in
     * @param say what may be said to them then; empty where the coordinator wrote nothing
     * @param not why they are not to be told of it: excused, held back, or dismissed for a while
     */
    record Mention(
            String set,
            String list,
            String why,
            String due,
            boolean toCheck,
            boolean prompt,
            String say,
            Optional<String> not) {}

    /** The same with what they are to be told of alone. */
    ComingIn toldOf() {
        return new ComingIn(
                person,
                on,
                provider,
                site,
                mention.stream().filter(Mention::prompt).toList());
    }
}
