package dipstick.core.wording;

import dipstick.core.criteria.Count;
import dipstick.core.criteria.Selection;
import dipstick.core.criteria.Test;
import dipstick.core.wording.Slot.Control;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Prints tests as sentences that a person can read and change in place. */
public final class SentencePrinter {
    private final LocalDate asOf;

    public SentencePrinter(LocalDate asOf) {
        this.asOf = asOf;
    }

    public Sentence print(Test test) {
        return print(test, "");
    }

    private Sentence print(Test test, String at) {
        return switch (test) {
            case Test.All all -> group(at, "all", "all of these", all.of());
            case Test.Any any -> group(at, "any", "any of these", any.of());
            case Test.AtLeast some -> group(at, "of", "at least " + some.count() + " of these", some.of());
            case Test.Not not ->
                new Sentence(at, List.of(Phrase.plain("not so that")), List.of(print(not.of(), at + "/not")));
            case Test.OfField field -> leaf(at, Phrase.slot(FieldWords.of(field.test(), asOf), at, Control.FIELD));
            case Test.Age age ->
                leaf(
                        at,
                        Phrase.plain("aged "),
                        Phrase.slot(WindowWords.ages(age.ages()) + ageDay(age.on()), at + "/age", Control.AGE));
            case Test.Events events -> events(events, at);
            case Test.Pick pick -> pick(pick, at);
            case Test.Sequence sequence -> sequence(sequence, at);
            case Test.Member member ->
                leaf(
                        at,
                        Phrase.slot(
                                partWords(member.part()) + " “" + member.set().name() + "”", at, Control.MEMBER));
            case Test.InRoster roster ->
                leaf(at, Phrase.slot("in the roster “" + roster.roster().name() + "”", at, Control.ROSTER));
        };
    }

    private Sentence group(String at, String key, String words, List<Test> of) {
        List<Sentence> parts = new ArrayList<>();
        for (int i = 0; i < of.size(); i++) {
            parts.add(print(of.get(i), at + "/" + key + "/" + i));
        }
        return new Sentence(at, List.of(Phrase.slot(words, at, Control.GROUP)), parts);
    }

    private Sentence events(Test.Events test, String at) {
        Selection selection = test.events();
        boolean one = Count.ONE_OR_MORE.equals(test.count()) || test.count().most() == 0;
        String noun = one ? SelectionWords.one(selection, asOf) : SelectionWords.several(selection, asOf);
        return leaf(
                at,
                Phrase.plain("had "),
                Phrase.slot(countWords(test.count(), noun), at, Control.COUNT),
                Phrase.plain(" "),
                Phrase.slot(noun + perWords(test.per()), at + "/events", Control.SELECTION),
                Phrase.plain(" "),
                Phrase.slot(WindowWords.of(selection.window(), asOf), at + "/events", Control.WINDOW));
    }

    private Sentence pick(Test.Pick pick, String at) {
        String key = pick.end() == Test.End.LATEST ? "latest" : "earliest";
        String is = String.join(
                " and ",
                pick.is().stream().map(test -> FieldWords.of(test, asOf)).toList());
        return leaf(
                at,
                Phrase.slot("the " + key, at, Control.PICK),
                Phrase.plain(" "),
                Phrase.slot(SelectionWords.one(pick.events(), asOf), at + "/" + key, Control.SELECTION),
                Phrase.plain(" "),
                Phrase.slot(WindowWords.of(pick.events().window(), asOf), at + "/" + key, Control.WINDOW),
                Phrase.plain(" "),
                Phrase.slot(is.isEmpty() ? "is there" : "has this: " + is, at, Control.PICK));
    }

    private Sentence sequence(Test.Sequence test, String at) {
        String anchor = switch (test.pick()) {
            case LATEST -> "after the latest";
            case EARLIEST -> "after the earliest";
            case ANY -> "after any";
            case EACH -> "after each";
        };
        String noun = SelectionWords.one(test.expect(), asOf);
        String from = test.notBefore().months() == 0 && test.notBefore().days() == 0
                ? ""
                : DayWords.period(test.notBefore()) + " to ";
        return leaf(
                at,
                Phrase.slot(anchor, at, Control.SEQUENCE),
                Phrase.plain(" "),
                Phrase.slot(SelectionWords.one(test.anchor(), asOf), at + "/after", Control.SELECTION),
                Phrase.plain(" "),
                Phrase.slot(WindowWords.of(test.anchor().window(), asOf), at + "/after", Control.WINDOW),
                Phrase.plain(" had "),
                Phrase.slot(countWords(test.count(), noun), at, Control.COUNT),
                Phrase.plain(" "),
                Phrase.slot(noun + perWords(test.per()), at + "/expect", Control.SELECTION),
                Phrase.plain(" "),
                Phrase.slot("within " + from + DayWords.period(test.within()), at, Control.SEQUENCE));
    }

    private static Sentence leaf(String at, Phrase... phrases) {
        return new Sentence(at, List.of(phrases), List.of());
    }

    /** The count before its noun: "a", "no", "2 or more". */
    private static String countWords(Count count, String noun) {
        if (count.equals(Count.ONE_OR_MORE)) {
            return "aeiou".indexOf(Character.toLowerCase(noun.charAt(0))) >= 0 ? "an" : "a";
        }
        if (count.most() == 0) {
            return "no";
        }
        if (!count.hasMost()) {
            return count.least() + " or more";
        }
        return (count.least() == count.most() ? "exactly " : "at most ") + count.most();
    }

    private static String perWords(Test.Per per) {
        return switch (per) {
            case RECORD -> "";
            case DAY -> ", on different days";
            case CODE -> ", of different codes";
        };
    }

    private static String partWords(Test.Part part) {
        return switch (part) {
            case LIST -> "on the list of";
            case ELIGIBLE -> "eligible for";
            case HAS -> "has what they should by";
        };
    }

    private String ageDay(Test.AgeDay day) {
        return switch (day) {
            case Test.AgeDay.AsOf _ -> "";
            case Test.AgeDay.StartOfYear _, Test.AgeDay.EndOfYear _, Test.AgeDay.On _ ->
                " on " + DayWords.day(day.seenFrom(asOf));
        };
    }
}
