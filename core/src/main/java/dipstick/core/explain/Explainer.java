package dipstick.core.explain;

import dipstick.core.Outcome;
import dipstick.core.criteria.Count;
import dipstick.core.criteria.CriteriaSet;
import dipstick.core.criteria.FieldTest;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Test;
import dipstick.core.evaluate.Evaluator;
import dipstick.core.evaluate.EventMatch;
import dipstick.core.population.Codes;
import dipstick.core.population.Column;
import dipstick.core.records.Field;
import dipstick.core.time.AgeUnit;
import dipstick.core.time.DateRange;
import dipstick.core.time.Window;
import dipstick.core.wording.DayWords;
import dipstick.core.wording.FieldWords;
import dipstick.core.wording.SelectionWords;
import dipstick.core.wording.ValueWords;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** Says of one person why a test answers as it does. */
public final class Explainer {
    private final Evaluator evaluator;
    private final int person;
    private final EventWords words;

    public Explainer(Evaluator evaluator, int person) {
        this.evaluator = evaluator;
        this.person = person;
        this.words = new EventWords(evaluator.population().events());
    }

    public Reason explain(Test test) {
        Outcome outcome = evaluator.answer(test).of(person);
        return switch (test) {
            case Test.All all -> group(outcome, "All of these should hold.", all.of());
            case Test.Any any -> group(outcome, "One of these should hold.", any.of());
            case Test.AtLeast some -> group(outcome, "At least " + some.count() + " of these should hold.", some.of());
            case Test.Not not -> group(outcome, "This should not hold.", List.of(not.of()));
            case Test.OfField field -> plain(outcome, ofField(field.test().field()));
            case Test.Age age -> plain(outcome, ofAge(age));
            case Test.Events events -> ofEvents(outcome, events);
            case Test.Pick pick -> ofPick(outcome, pick);
            case Test.Sequence sequence -> ofSequence(outcome, sequence);
            case Test.Member member -> ofMember(outcome, member);
            case Test.InRoster roster ->
                plain(
                        outcome,
                        verdict(outcome, "in the roster “" + roster.roster().name() + "”"));
        };
    }

    private Reason group(Outcome outcome, String sentence, List<Test> of) {
        return new Reason(
                outcome,
                sentence,
                List.of(),
                OptionalInt.empty(),
                of.stream().map(this::explain).toList());
    }

    private static Reason plain(Outcome outcome, String sentence) {
        return Reason.of(outcome, sentence, List.of());
    }

    private Reason ofMember(Outcome outcome, Test.Member member) {
        CriteriaSet set = member.set();
        return new Reason(
                outcome,
                verdict(outcome, "in what “" + set.name() + "” gives"),
                List.of(),
                OptionalInt.empty(),
                set.criteria()
                        .filter(criterion -> !criterion.off())
                        .map(criterion -> explain(criterion.test()))
                        .toList());
    }

    private static String verdict(Outcome outcome, String what) {
        return switch (outcome) {
            case YES -> "Is " + what + ".";
            case NO -> "Is not " + what + ".";
            case UNSURE -> "May be " + what + "; the records do not say.";
        };
    }

    private String ofField(Field field) {
        Column column = evaluator.population().column(field);
        String name = capital(FieldWords.name(field.name()));
        int code = column.codes().get(person);
        if (code == Codes.MISSING) {
            return name + " is blank.";
        }
        return name + " is " + ValueWords.of(column, code) + ".";
    }

    private String ofAge(Test.Age age) {
        Column.OfDate births = evaluator.population().birthDate();
        int code = births.codes().get(person);
        if (code == Codes.MISSING) {
            return "No birth date is on record.";
        }
        DateRange birth = births.days().get(code);
        LocalDate day = age.on().seenFrom(evaluator.asOf());
        ChronoUnit unit = switch (age.ages().unit()) {
            case YEARS -> ChronoUnit.YEARS;
            case MONTHS -> ChronoUnit.MONTHS;
            case WEEKS -> ChronoUnit.WEEKS;
            case DAYS -> ChronoUnit.DAYS;
        };
        long oldest = unit.between(LocalDate.ofEpochDay(birth.first()), day);
        long youngest = unit.between(LocalDate.ofEpochDay(birth.last()), day);
        String years = age.ages().unit() == AgeUnit.YEARS
                ? ""
                : " " + age.ages().unit().word();
        if (birth.first() > day.toEpochDay()) {
            return "Not yet born on " + DayWords.day(day) + ".";
        }
        String number = oldest == youngest ? String.valueOf(oldest) : Math.max(0, youngest) + " to " + oldest;
        String when = day.equals(evaluator.asOf()) ? "" : " on " + DayWords.day(day);
        return "Aged " + number + years + when + ", born " + DayWords.date(birth) + ".";
    }

    private Reason ofEvents(Outcome outcome, Test.Events test) {
        List<EventMatch> matches = evaluator.matching(person, test.events());
        if (matches.isEmpty()) {
            return none(outcome, test.events());
        }
        List<EventMatch> certain =
                matches.stream().filter(m -> m.outcome() == Outcome.YES).toList();
        List<EventMatch> open =
                matches.stream().filter(m -> m.outcome() == Outcome.UNSURE).toList();
        List<String> sentences = new ArrayList<>();
        if (!certain.isEmpty()) {
            boolean needsCount =
                    !test.count().equals(Count.ONE_OR_MORE) && test.count().most() != 0;
            sentences.add((needsCount ? certain.size() + ": " : "")
                    + capital(words.of(test.events()).list(certain)) + ".");
        }
        if (!open.isEmpty() && (certain.isEmpty() || outcome == Outcome.UNSURE)) {
            sentences.add(
                    "May count: " + words.of(test.events()).list(open) + why(open.getFirst(), test.events()) + ".");
        }
        return Reason.of(outcome, String.join(" ", sentences), numbers(witness(outcome, test, matches, certain)));
    }

    /**
     * Certain records are enough for a yes that asks for some, and for a no where there are too many; for a yes of none,
     * and a no of too few, their absence speaks, and those that are there are told.
     */
    private static List<EventMatch> witness(
            Outcome outcome, Test.Events test, List<EventMatch> matches, List<EventMatch> certain) {
        boolean isEnough = outcome == Outcome.YES && !test.count().hasMost();
        boolean isTooMany = outcome == Outcome.NO && test.count().least() == 0;
        return isEnough || isTooMany ? certain : matches;
    }

    /** Why a record only may count: its date, or something else about it. */
    private String why(EventMatch open, Selection selection) {
        boolean byDate = evaluator.matching(person, selection.within(new Window.AnyDay())).stream()
                .anyMatch(match -> match.event() == open.event() && match.outcome() == Outcome.YES);
        return byDate ? " (its day may or may not be in the window)" : " (a detail that decides is blank)";
    }

    /** No record matches; the nearest that fits all but the window is named. */
    private Reason none(Outcome outcome, Selection selection) {
        String noun = SelectionWords.one(selection, evaluator.asOf());
        String window = selection.window() instanceof Window.AtAge
                ? "at that age"
                : DayWords.inSentence(selection.window().daysAsOf(evaluator.asOf()));
        String sentence = "No " + noun + " " + window + ".";
        return nearest(selection)
                .map(miss -> missed(
                        outcome,
                        sentence + " The nearest: " + words.of(selection).one(miss) + ".",
                        miss))
                .or(() -> failedValue(outcome, sentence, selection))
                .orElse(Reason.of(outcome, sentence + " None on record at any time.", List.of()));
    }

    private static Reason missed(Outcome outcome, String sentence, EventMatch miss) {
        return new Reason(outcome, sentence, List.of(), OptionalInt.of(miss.event()), List.of());
    }

    /** The record that fits all but the window and is nearest to it; of two as near the later one. */
    private Optional<EventMatch> nearest(Selection selection) {
        DateRange window = selection.window() instanceof Window.AtAge
                ? DateRange.ALL_DAYS
                : selection.window().daysAsOf(evaluator.asOf());
        return evaluator.matching(person, selection.within(new Window.AnyDay())).stream()
                .min(Comparator.comparingLong((EventMatch match) -> distance(match, window))
                        .thenComparing(EventWords::lastDay, Comparator.reverseOrder()));
    }

    private static long distance(EventMatch match, DateRange window) {
        return match.on()
                .map(days -> Math.max(
                        0L, Math.max((long) window.first() - days.last(), (long) days.first() - window.last())))
                .orElse(Long.MAX_VALUE);
    }

    /** The last record that would count if a test of its value held. */
    private Optional<Reason> failedValue(Outcome outcome, String sentence, Selection selection) {
        List<FieldTest> others = selection.where().stream()
                .filter(test -> !test.field().name().equals("value"))
                .toList();
        if (others.size() == selection.where().size()) {
            return Optional.empty();
        }
        return evaluator.matching(person, selection.where(others)).stream()
                .max(Comparator.comparingInt(EventWords::lastDay))
                .map(miss -> missed(
                        outcome,
                        sentence + " Its value does not fit: "
                                + words.of(selection).one(miss) + ".",
                        miss));
    }

    private Reason ofPick(Outcome outcome, Test.Pick pick) {
        List<EventMatch> picked = evaluator.picked(person, pick);
        if (picked.isEmpty()) {
            return none(outcome, pick.events());
        }
        String which = pick.end() == Test.End.LATEST ? "latest" : "earliest";
        String sentence = picked.size() == 1
                ? "The " + which + " is " + words.of(pick.events()).one(picked.getFirst()) + "."
                : "The " + which + " may be any of: " + words.of(pick.events()).list(picked) + ".";
        return Reason.of(outcome, sentence, numbers(picked));
    }

    private Reason ofSequence(Outcome outcome, Test.Sequence test) {
        List<EventMatch> anchors = evaluator.matching(person, test.anchor());
        if (anchors.isEmpty()) {
            return none(outcome, test.anchor());
        }
        List<EventMatch> followers = evaluator.matching(person, test.expect());
        List<Integer> records = new ArrayList<>(numbers(anchors));
        records.addAll(numbers(followers));
        String sentence = capital(words.of(test.anchor()).list(anchors)) + "; "
                + (followers.isEmpty()
                        ? "nothing that could follow is on record"
                        : "what could follow: " + words.of(test.expect()).list(followers))
                + ".";
        return Reason.of(outcome, sentence, records);
    }

    private static List<Integer> numbers(List<EventMatch> matches) {
        return matches.stream().map(EventMatch::event).toList();
    }

    static String capital(String sentence) {
        return sentence.isEmpty() ? sentence : Character.toUpperCase(sentence.charAt(0)) + sentence.substring(1);
    }
}
