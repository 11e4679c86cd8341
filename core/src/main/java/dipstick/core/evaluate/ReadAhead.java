package dipstick.core.evaluate;

import dipstick.core.criteria.Band;
import dipstick.core.criteria.Condition;
import dipstick.core.criteria.Count;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.Criterion;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Test;
import dipstick.core.population.Events;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * Answers what a set asks as of several days in one pass over the records: a window is decided for each different date as
 * of all days at once, and a row then tells a person's answers of all of them. What cannot be asked so is left to be asked
 * as of each day.
 */
final class ReadAhead {
    private final List<Evaluator> days;
    private final int people;

    /** @param days over one population, at most as many as {@link DayAnswers} holds */
    ReadAhead(List<Evaluator> days) {
        this.days = days;
        this.people = days.getFirst().population().size();
    }

    /** Every day's evaluator knows afterwards what is said here. */
    void of(CriteriaSet set) {
        Stream.concat(
                        set.criteria().filter(criterion -> !criterion.off()).map(Criterion::test),
                        set.bands().stream()
                                .flatMap(band -> band.when() instanceof Band.When.Is(var test)
                                        ? Stream.of(test)
                                        : Stream.empty()))
                .forEach(this::of);
    }

    private void of(Test test) {
        switch (test) {
            case Test.All(var parts) -> parts.forEach(this::of);
            case Test.Any(var parts) -> parts.forEach(this::of);
            case Test.AtLeast some -> some.of().forEach(this::of);
            case Test.Not(var part) -> of(part);
            case Test.Member member -> of(member.set());
            case Test.OfField(var field) -> ofField(test, field);
            case Test.InRoster _ -> keepForAll(test);
            case Test.Events events -> {
                if (isAnyOrNone(events) && isOfTheRowAlone(events.events())) {
                    keep(test, () -> ofEvents(events));
                }
            }
            // Ages are found as of each day without a pass over everybody.
            case Test.Age _, Test.Pick _, Test.Sequence _ -> {}
        }
    }

    private void ofField(Test test, FieldTest field) {
        if (!(field.condition() instanceof Condition.DateInWindow(Window window))) {
            keepForAll(test);
        } else if (!(window instanceof Window.AtAge)) {
            keep(test, () -> ofPeople(day -> (FieldMatcher.ByCode) FieldMatcher.ofPeople(field, day.seen())));
        }
    }

    /** Whether it only matters if there is a record, and not how many there are. */
    private static boolean isAnyOrNone(Test.Events events) {
        return events.per() == Test.Per.RECORD
                && (events.count().equals(Count.ONE_OR_MORE) || events.count().most() == 0);
    }

    /** Whether all but the window is the same as of every day, and the window the same for everybody. */
    private static boolean isOfTheRowAlone(Selection selection) {
        return !selection.active()
                && !(selection.window() instanceof Window.AtAge)
                && selection.where().stream()
                        .noneMatch(test ->
                                test.field().name().equals("on") || test.condition() instanceof Condition.DateInWindow);
    }

    private void keep(Test test, Supplier<List<Answer>> asking) {
        if (days.stream().allMatch(day -> day.knows(test))) {
            return;
        }
        List<Answer> answers = asking.get();
        for (int i = 0; i < answers.size(); i++) {
            days.get(i).keep(test, answers.get(i));
        }
    }

    /** The day makes no difference. */
    private void keepForAll(Test test) {
        Answer answer = days.getFirst().answer(test);
        days.forEach(day -> day.keep(test, answer));
    }

    private List<Answer> ofPeople(Function<Evaluator, FieldMatcher.ByCode> ofDay) {
        DayMasks masks = DayMasks.of(days.parallelStream().map(ofDay).toList());
        DayAnswers answers = new DayAnswers(people, days.size());
        PeopleRange.forEach(people, range -> {
            DayAnswers.OfRange found = answers.of(range);
            for (int place = 0; place < range.size(); place++) {
                int code = masks.codes().get(range.first() + place);
                found.raise(place, masks.yes(code), masks.unsure(code));
            }
            found.keep();
        });
        return answers.seal();
    }

    private List<Answer> ofEvents(Test.Events test) {
        Window window = test.events().window();
        List<FieldMatcher.ByCode> windows = new ArrayList<>();
        int first = DateRange.OPEN_LAST;
        int last = DateRange.OPEN_FIRST;
        for (Evaluator day : days) {
            DateRange within = window.daysAsOf(day.asOf());
            windows.add(day.seen().dates().in(within));
            first = Math.min(first, within.first());
            last = Math.max(last, within.last());
        }
        DateRange inAny = new DateRange(first, last);
        DayMasks masks = DayMasks.of(windows);
        EventMatcher matcher = new EventMatcher(
                test.events().within(new Window.AnyDay()), days.getFirst().seen());
        Events events = days.getFirst().population().events();
        DayAnswers answers = new DayAnswers(people, days.size());
        PeopleRange.forEach(people, range -> {
            DayAnswers.OfRange found = answers.of(range);
            matcher.forEachRow(range, inAny, (marked, count) -> {
                for (int i = 0; i < count; i++) {
                    int event = Matches.unmarked(marked[i]);
                    int code = masks.codes().get(event);
                    boolean certain = marked[i] >= 0;
                    found.raise(
                            events.owner(event) - range.first(),
                            certain ? masks.yes(code) : 0,
                            certain ? masks.unsure(code) : masks.yes(code) | masks.unsure(code));
                }
            });
            found.keep();
        });
        List<Answer> any = answers.seal();
        return test.count().most() == 0
                ? any.stream().map(answer -> answer.not(people)).toList()
                : any;
    }
}
