package dipstick.server.outreach.plan;

import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.population.Population;
import dipstick.core.wording.DayWords;
import dipstick.server.people.Appointments;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;

/** Why somebody is not to be called now, by the rules of a list. */
public final class HeldBack {
    private static final Set<String> WAYS = Set.of("phone", "mobile", "email", "address");

    private final HoldRules rules;
    private final Population records;
    private final LocalDate day;
    private final Map<String, LocalDate> lastReached;

    /** @param lastReached the day on which each person was last reached, on whichever list */
    public HeldBack(HoldRules rules, Population records, LocalDate day, Map<String, LocalDate> lastReached) {
        this.rules = rules;
        this.records = records;
        this.day = day;
        this.lastReached = lastReached;
    }

    /** The sentence that says why; nothing for somebody who may be called. */
    public Optional<String> why(String person) {
        return why(person, day);
    }

    /** The same of somebody who is at the practice on a day: what they come for does not hold them back. */
    public Optional<String> whyWhoComes(String person, LocalDate comes) {
        return why(person, comes.plusDays(1));
    }

    private Optional<String> why(String person, LocalDate appointmentsFrom) {
        OptionalInt number = records.find(person);
        if (number.isEmpty()) {
            return Optional.of("Is not on file any more.");
        }
        return Stream.of(
                        asked(number.getAsInt()),
                        noWay(number.getAsInt()),
                        appointment(number.getAsInt(), appointmentsFrom),
                        reached(person))
                .flatMap(Optional::stream)
                .findFirst();
    }

    private Optional<String> asked(int person) {
        boolean flagged = records.personFields()
                .find("do_not_contact")
                .filter(field -> records.column(field).codes().get(person) == Column.OfFlag.TRUE)
                .isPresent();
        return rules.doNotContact() && flagged ? Optional.of("Asked not to be contacted.") : Optional.empty();
    }

    private Optional<String> noWay(int person) {
        boolean reachable = records.personFields().all().stream()
                .filter(field -> WAYS.contains(field.name()))
                .anyMatch(field -> records.column(field).codes().get(person) != Codes.MISSING);
        return rules.noWay() && !reachable
                ? Optional.of("No phone, e-mail or address is on record.")
                : Optional.empty();
    }

    private Optional<String> appointment(int person, LocalDate from) {
        if (rules.appointmentDays() == 0) {
            return Optional.empty();
        }
        return Appointments.next(records, person, from)
                .filter(next ->
                        next.first() <= day.plusDays(rules.appointmentDays()).toEpochDay())
                .map(next -> "Has an appointment on record: " + DayWords.date(next) + ".");
    }

    private Optional<String> reached(String person) {
        return Optional.ofNullable(lastReached.get(person))
                .filter(last -> rules.reachedDays() > 0
                        && last.plusDays(rules.reachedDays()).isAfter(day))
                .map(last -> "Was reached on " + DayWords.day(last) + ".");
    }
}
