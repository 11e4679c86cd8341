package dipstick.server.prompts;

import dipstick.server.outreach.OpenPlace;
import dipstick.server.outreach.OpenPlaces;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;

/**
 * What whoever has somebody before them is told: what is due by the lists that prompt, never of who is only to check,
 * excused, held back, or dismissed for a while.
 */
@Service
public class Prompts {
    private final OpenPlaces places;
    private final PromptRules rules;
    private final Dismissals dismissals;

    Prompts(OpenPlaces places, PromptRules rules, Dismissals dismissals) {
        this.places = places;
        this.rules = rules;
        this.dismissals = dismissals;
    }

    /**
     * What is due of somebody at a moment.
     *
     * @param lists which lists may be told of
     * @param asks the account that is told
     * @param comes the day on which they are at the practice
     */
    public List<Prompt> of(String person, Moment moment, Predicate<String> lists, String asks, LocalDate comes) {
        return among(places.at(lists, asks).of(person, comes), person, moment);
    }

    /** Has a list prompt, as a practice does that begins. */
    public void begin(String set, Set<Moment> moments, String sentence) {
        rules.save(
                set,
                new PromptRule(
                        moments.contains(Moment.OPENED),
                        moments.contains(Moment.COMING_IN),
                        moments.contains(Moment.RECORD_SYSTEM),
                        sentence),
                rules.revision(set));
    }

    /**
     * Has nobody told of somebody on a list for a while.
     *
     * @param until the last day of it, within a year
     * @param who the account that says so
     */
    public void dismiss(String set, String person, String reason, LocalDate until, String who) {
        dismissals.dismiss(set, person, reason, until, who);
    }

    /** The same among places that were read already. */
    List<Prompt> among(List<OpenPlace> open, String person, Moment moment) {
        Map<OpenPlace, PromptRule> told = new LinkedHashMap<>();
        open.stream()
                .filter(place -> !place.toCheck() && place.keptBack().isEmpty())
                .forEach(place -> told.put(place, rules.of(place.set())));
        told.values().removeIf(rule -> !rule.holdsAt(moment));
        if (told.isEmpty()) {
            return List.of();
        }
        dismissals
                .of(person)
                .forEach(one -> told.keySet().removeIf(place -> place.set().equals(one.setId())));
        return told.entrySet().stream()
                .map(one -> prompt(one.getKey(), one.getValue()))
                .toList();
    }

    private static Prompt prompt(OpenPlace place, PromptRule rule) {
        return new Prompt(place.set(), place.name(), rule.sentence(), place.why(), place.due(), place.since());
    }
}
