package dipstick.server.prompts;

import dipstick.core.population.Population;
import dipstick.server.accounts.Accounts;
import dipstick.server.accounts.Colleague;
import dipstick.server.outreach.OpenPlace;
import dipstick.server.outreach.OpenPlaces;
import dipstick.server.people.Appointments;
import dipstick.server.people.Appointments.Appointment;
import dipstick.server.people.PersonLine;
import dipstick.server.practice.Today;
import dipstick.server.records.Views;
import dipstick.server.sharing.Right;
import dipstick.server.sharing.Sharing;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Who on a list is expected at the practice. */
@Service
class Expected {
    private static final Comparator<ComingIn> BY_DAY =
            Comparator.comparing(ComingIn::on).thenComparing(ComingIn::person, PersonLine.BY_NAME);

    private final OpenPlaces places;
    private final Prompts prompts;
    private final Dismissals dismissals;
    private final Views views;
    private final Sharing sharing;
    private final Accounts accounts;
    private final Today today;

    Expected(
            OpenPlaces places,
            Prompts prompts,
            Dismissals dismissals,
            Views views,
            Sharing sharing,
            Accounts accounts,
            Today today) {
        this.places = places;
        this.prompts = prompts;
        this.dismissals = dismissals;
        this.views = views;
        this.sharing = sharing;
        this.accounts = accounts;
        this.today = today;
    }

    /** Those of whom a colleague may know, each at their first appointment between two days. */
    List<ComingIn> first(LocalDate from, LocalDate to, Colleague who) {
        return between(from, to, who, 1, _ -> true);
    }

    /** Those of one day of whom somebody is to be told by some lists, at each of their appointments. */
    List<ComingIn> toldOf(LocalDate day, Colleague who, Predicate<String> by) {
        return between(day, day, who, Integer.MAX_VALUE, by).stream()
                .map(ComingIn::toldOf)
                .filter(one -> !one.mention().isEmpty())
                .toList();
    }

    private List<ComingIn> between(LocalDate from, LocalDate to, Colleague who, int each, Predicate<String> by) {
        Population records = views.current().population();
        Predicate<String> lists = list -> by.test(list) && sharing.of(who, list).includes(Right.VIEW);
        OpenPlaces.Look look = places.at(lists, who.name());
        return look.people().stream()
                .map(records::find)
                .flatMapToInt(OptionalInt::stream)
                .filter(person -> who.maySeePeopleOf(PersonLine.text(records, person, "provider")))
                .boxed()
                .flatMap(person -> Appointments.between(records, person, from, to)
                        .distinct()
                        .limit(each)
                        .map(one -> comingIn(records, person, one, look)))
                .filter(one -> !one.mention().isEmpty())
                .sorted(BY_DAY)
                .toList();
    }

    private ComingIn comingIn(Population records, int person, Appointment one, OpenPlaces.Look look) {
        PersonLine line = PersonLine.of(records, person, today.day());
        List<OpenPlace> open = look.of(line.id(), one.day());
        Map<String, Prompt> told = prompts.among(open, line.id(), Moment.COMING_IN).stream()
                .collect(Collectors.toMap(Prompt::set, prompt -> prompt));
        List<Dismissal> dismissed = dismissals.of(line.id());
        return new ComingIn(
                line,
                one.day().toString(),
                one.provider(),
                one.site(),
                open.stream()
                        .map(place -> new ComingIn.Mention(
                                place.set(),
                                place.name(),
                                place.why(),
                                place.due(),
                                place.toCheck(),
                                told.containsKey(place.set()),
                                Optional.ofNullable(told.get(place.set()))
                                        .map(Prompt::say)
                                        .orElse(""),
                                place.keptBack().or(() -> words(dismissed, place.set()))))
                        .toList());
    }

    private Optional<String> words(List<Dismissal> dismissed, String set) {
        return dismissed.stream()
                .filter(one -> one.setId().equals(set))
                .map(one -> "Not to be told " + one.words(accounts.displayName(one.account())))
                .findFirst();
    }
}
