package dipstick.core.explain;

import dipstick.core.criteria.Selection;
import dipstick.core.evaluate.EventMatch;
import dipstick.core.evaluate.TermMatcher;
import dipstick.core.population.Codes;
import dipstick.core.population.Events;
import dipstick.core.time.DateRange;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.FieldWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Event records in words: what, when, and the value. */
final class EventWords {
    /** More than these are counted, not named, so that a sentence stays a sentence. */
    private static final int MOST_NAMED = 3;

    private final Events events;
    /** The terms by which they are meant, where that may need saying. */
    private final Optional<TermMatcher> terms;

    EventWords(Events events) {
        this(events, Optional.empty());
    }

    private EventWords(Events events, Optional<TermMatcher> terms) {
        this.events = events;
        this.terms = terms;
    }

    /** The same of records of a selection: one that is meant by a further code says so. */
    EventWords of(Selection selection) {
        boolean anyFurtherCode = events.alsoCoded().codeCount() > 1;
        return new EventWords(
                events, selection.terms().filter(_ -> anyFurtherCode).map(sets -> new TermMatcher(sets, events)));
    }

    /** The latest few of them, latest first, and how many more there are. */
    String list(List<EventMatch> matches) {
        List<EventMatch> latestFirst = matches.stream()
                .sorted((one, other) -> Integer.compare(lastDay(other), lastDay(one)))
                .toList();
        String named = latestFirst.stream().limit(MOST_NAMED).map(this::one).collect(Collectors.joining(", "));
        int more = matches.size() - MOST_NAMED;
        return more > 0 ? named + " and " + more + " more" : named;
    }

    String one(EventMatch match) {
        return what(match.event()) + match.on().map(EventWords::on).orElse(", undated");
    }

    /** The event's wording, or its code or kind where it has none, and its value. */
    String what(int event) {
        List<String> words = new ArrayList<>();
        String text = events.text().writtenAt(event);
        String code = events.code().writtenAt(event);
        words.add(
                !text.isEmpty() ? text : !code.isEmpty() ? code : events.kind().writtenAt(event));
        int value = events.value().codes().get(event);
        if (value != Codes.MISSING) {
            words.add(FieldWords.number(events.value().numbers().get(value)));
            words.add(events.unit().writtenAt(event));
        }
        terms.flatMap(meant -> meant.furtherCode(events.concepts().ofRow(event)))
                .ifPresent(coding -> words.add("(also coded " + FieldWords.coding(coding) + ")"));
        return words.stream().filter(word -> !word.isEmpty()).collect(Collectors.joining(" "));
    }

    static String on(DateRange days) {
        return days.isExact() ? " on " + DayWords.day(days.first()) : ", date known only as " + DayWords.date(days);
    }

    /** The last day that the event may have been on; before all others where it is undated. */
    static int lastDay(EventMatch match) {
        return match.on().map(DateRange::last).orElse(Integer.MIN_VALUE);
    }
}
